import { createHash } from 'node:crypto';
import type { AssetDocument, DocumentType } from '@oilcan/core/plant/documents';
import { asId, type FileId } from '@oilcan/core/kernel';
import type { Asset, AssetPicture } from '@oilcan/core/plant/plant';
import { assetPlans } from '../mountain/assets';
import type { Sector } from '../mountain/mountain';
import { gearboxManual } from './gearbox-manual';
import { hydraulicDrawing } from './hydraulic-drawing';
import { lubricationChart } from './lubrication-chart';
import { SKETCH_HEIGHT, SKETCH_WIDTH, sketchedClasses, sketchOf } from './machine-sketches';
import { setBooklet } from './pages';

/** A document and the machines that it belongs to, by their keys. */
export interface DemoDocument extends Pick<AssetDocument, 'name' | 'mediaType' | 'fileId'> {
  readonly key: string;
  readonly assets: readonly string[];
  readonly content: Uint8Array;
  /** It shows what these machines look like. */
  readonly isSketch?: true;
}

function document(
  key: string,
  name: string,
  mediaType: DocumentType,
  assets: readonly string[],
  content: Uint8Array,
): DemoDocument {
  const fileId = asId<FileId>(createHash('sha256').update(content).digest('hex'));
  return { key, name, mediaType, assets, content, fileId };
}

/** The manuals and drawings of the mountain; all of them invented. */
export async function makeDocuments(): Promise<DemoDocument[]> {
  return [
    document('manual', 'Gearbox manual PK 3-710', 'application/pdf', ['lark-gearbox'], await setBooklet(gearboxManual)),
    document(
      'circuit',
      'Hydraulic circuit, tensioning',
      'image/svg+xml',
      ['lark-tension', 'juniper-tension'],
      new TextEncoder().encode(hydraulicDrawing),
    ),
    document(
      'lubrication',
      'Lubrication chart',
      'application/pdf',
      ['lark', 'juniper', 'lark-gearbox', 'pump-1', 'pump-2'],
      await setBooklet(lubricationChart),
    ),
    ...sketches(),
  ];
}

/** One sketch for each class of machine. */
function sketches(): DemoDocument[] {
  const plans = assetPlans.flatMap((root) => [root, ...(root.parts ?? [])]);
  return sketchedClasses.flatMap((equipmentClass): DemoDocument[] => {
    const sketch = sketchOf(equipmentClass);
    const keys = plans.filter((plan) => plan.equipmentClass === equipmentClass).map(({ key }) => key);
    if (sketch === null || keys.length === 0) return [];
    const content = new TextEncoder().encode(sketch);
    return [{ ...document(`sketch-${equipmentClass}`, 'Sketch', 'image/svg+xml', keys, content), isSketch: true }];
  });
}

/** What a machine looks like, by its key; undefined where nobody drew it. */
export function pictureOf(key: string, documents: readonly DemoDocument[]): AssetPicture | undefined {
  const sketch = documents.find(({ isSketch, assets }) => isSketch === true && assets.includes(key));
  if (sketch === undefined) return undefined;
  return { fileId: sketch.fileId, mediaType: 'image/svg+xml', width: SKETCH_WIDTH, height: SKETCH_HEIGHT };
}

/** The rows that list them under their machines. */
export function documentsOf(
  sector: Sector,
  assets: ReadonlyMap<string, Asset>,
  documents: readonly DemoDocument[],
): AssetDocument[] {
  return documents.flatMap(({ key, name, mediaType, fileId, content, assets: keys }) =>
    keys.flatMap((assetKey) => {
      const asset = assets.get(assetKey);
      if (asset === undefined) return [];
      const id = sector.idOf(`document-${key}-${assetKey}`);
      return [{ id, siteId: asset.siteId, assetId: asset.id, name, mediaType, fileId, bytes: content.length }];
    }),
  );
}

import { createHash } from 'node:crypto';
import type { AssetDocument, DocumentType } from '@oilcan/core/documents';
import { asId, type FileId } from '@oilcan/core/kernel';
import type { Asset } from '@oilcan/core/plant';
import type { Sector } from '../mountain/mountain';
import { gearboxManual } from './gearbox-manual';
import { hydraulicDrawing } from './hydraulic-drawing';
import { lubricationChart } from './lubrication-chart';
import { setBooklet } from './pages';

/** A document and the machines that it belongs to, by their keys. */
export interface DemoDocument extends Pick<AssetDocument, 'name' | 'mediaType' | 'fileId'> {
  readonly key: string;
  readonly assets: readonly string[];
  readonly content: Uint8Array;
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
  ];
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

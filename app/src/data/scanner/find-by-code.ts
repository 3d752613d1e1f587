import type { Code, ReportLabel } from '@oilcan/core/raising/labels';
import { binCode, codeOfTag, keyInCode, placeCode, type Asset, type Place } from '@oilcan/core/plant/plant';
import type { Bin, Part, Store } from '@oilcan/core/stores/stock';
import type { WorkOrder } from '@oilcan/core/orders/work';

/** What a code leads to. */
export type Found =
  | { readonly is: 'asset'; readonly asset: Asset }
  | { readonly is: 'work'; readonly work: WorkOrder }
  | { readonly is: 'part'; readonly part: Part }
  | { readonly is: 'place'; readonly place: Place }
  | { readonly is: 'bin'; readonly bin: Bin };

interface CodedRows {
  readonly codes: readonly Code[];
  readonly reportLabels: readonly ReportLabel[];
  readonly assets: readonly Asset[];
  readonly places: readonly Place[];
  readonly works: readonly WorkOrder[];
  readonly parts: readonly Part[];
  readonly bins: readonly Bin[];
  readonly stores: readonly Store[];
}

/** What on this phone has a code: by a machine's own tag, by a label that was bound, or by its number; null for nothing. */
export function findByCode(code: string, rows: CodedRows): Found | null {
  const bound = rows.codes.find(({ id }) => id === code);
  const label = rows.reportLabels.find(({ id }) => id === keyInCode(code));
  const assetId = label?.assetId ?? bound?.assetId;
  const asset = rows.assets.find(({ tag }) => codeOfTag(tag) === code) ?? rows.assets.find(({ id }) => id === assetId);
  if (asset !== undefined) return { is: 'asset', asset };
  const work = rows.works.find(({ number }) => number.toUpperCase() === code);
  if (work !== undefined) return { is: 'work', work };
  const part = rows.parts.find(({ number }) => number.toUpperCase() === code);
  if (part !== undefined) return { is: 'part', part };
  const place = rows.places.find(({ id }) => placeCode(id) === code || id === label?.placeId);
  if (place !== undefined) return { is: 'place', place };
  const storeNames = new Map(rows.stores.map(({ id, name }) => [id, name]));
  const bin = rows.bins.find(({ storeId, label }) => binCode(storeNames.get(storeId) ?? '', label) === code);
  return bin === undefined ? null : { is: 'bin', bin };
}

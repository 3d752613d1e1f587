import type { AssetId } from '../../../kernel/ids';
import type { Records } from '../../../records/records';
import type { Asset } from './plant';

/** Nothing is merged more often than this one after the other. */
const MOST_MERGES = 10;

/** The machine, or the one that stands for it since the two were merged; undefined where there is none. */
export async function standingAsset(records: Pick<Records, 'get'>, id: AssetId): Promise<Asset | undefined> {
  let asset = await records.get('assets', id);
  for (let merges = 0; asset?.mergedInto !== undefined && merges < MOST_MERGES; merges += 1)
    asset = await records.get('assets', asset.mergedInto);
  return asset;
}

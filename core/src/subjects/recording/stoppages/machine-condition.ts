import type { AssetId, EntryId } from '../../../kernel/ids';
import type { Instant } from '../../../kernel/time/instant';
import type { Records } from '../../../records/records';
import type { Asset, AssetCondition, OpenStoppage } from '../../plant/plant/plant';

/** The condition that a machine is in by the stoppages that last. */
export function conditionBy(open: readonly OpenStoppage[]): AssetCondition {
  if (open.some(({ extent }) => extent === 'full')) return 'stopped';
  return open.length > 0 ? 'reduced' : 'running';
}

/** The machine with other stoppages that last, and the condition that follows; since `at` where it is another one. */
export function withStoppages(asset: Asset, open: readonly OpenStoppage[], at: Instant): Asset {
  const condition = conditionBy(open);
  const began = open
    .filter(({ extent }) => condition !== 'stopped' || extent === 'full')
    .map(({ from }) => from)
    .sort()[0];
  return { ...asset, openStoppages: open, condition, conditionSince: began ?? at };
}

/** Marks on the machine that a stoppage lasts. */
export async function beginOnMachine(records: Records, asset: Asset, stoppage: OpenStoppage): Promise<void> {
  const others = (asset.openStoppages ?? []).filter(({ entryId }) => entryId !== stoppage.entryId);
  await records.put('assets', withStoppages(asset, [...others, stoppage], stoppage.from));
}

/** Marks on the machine that a stoppage lasts no more. */
export async function endOnMachine(records: Records, assetId: AssetId, ended: EntryId, at: Instant): Promise<void> {
  const asset = await records.get('assets', assetId);
  const open = asset?.openStoppages ?? [];
  if (asset === undefined || !open.some(({ entryId }) => entryId === ended)) return;
  await records.put(
    'assets',
    withStoppages(
      asset,
      open.filter(({ entryId }) => entryId !== ended),
      at,
    ),
  );
}

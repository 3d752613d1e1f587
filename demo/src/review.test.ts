import { parseInstant, type AssetId } from '@oilcan/core/kernel';
import { summarise, usualFor, type PastJob } from '@oilcan/core/past/past';
import type { TableName, Tables } from '@oilcan/core/records';
import { costOf, entryKinds } from '@oilcan/core/registry';
import { unusualOf, type Unusual } from '@oilcan/core/finishing/review';
import { usualLimits } from '@oilcan/core/orders/settings';
import type { Entry, WorkOrder } from '@oilcan/core/orders/work';
import { generateDemo } from './generate';
import type { Line } from './line';
import { settings } from './mountain/people';

const now = parseInstant('2026-11-23T11:00:00Z');
const lines = [...generateDemo({ now, scale: 1, password: 'x', documents: [] })];
const rowsOf = <T extends TableName>(table: T): Tables[T][] =>
  lines.flatMap((line: Line) => ('table' in line && line.table === table ? [line.row as Tables[T]] : []));

/** Why each job of the last year would have been worth a look when it was finished, by what was known before it. */
function reasonsOfYear(): { readonly work: WorkOrder; readonly unusual: readonly Unusual[] }[] {
  const entriesOf = new Map<string, Entry[]>();
  for (const entry of rowsOf('entries'))
    entriesOf.set(entry.workOrderId, [...(entriesOf.get(entry.workOrderId) ?? []), entry]);
  const assets = new Map(rowsOf('assets').map((asset) => [asset.id, asset]));
  const works = rowsOf('workOrders')
    .filter(({ finishedAt }) => finishedAt !== null)
    .sort((a, b) => ((a.finishedAt ?? '') < (b.finishedAt ?? '') ? -1 : 1));
  const pastOf = new Map<AssetId, PastJob[]>();
  const pastOfClass = new Map<string, PastJob[]>();
  const minorOf = (id: string): number =>
    costOf(entriesOf.get(id) ?? []).total.find(({ currency }) => currency === settings.currency)?.minor ?? 0;
  const since = parseInstant('2025-11-23T00:00:00Z');
  return works.flatMap((work) => {
    const entries = entriesOf.get(work.id) ?? [];
    const before = pastOf.get(work.assetId) ?? [];
    const equipmentClass = assets.get(work.assetId)?.equipmentClass ?? '';
    const ofClass = pastOfClass.get(equipmentClass) ?? [];
    const usual = usualFor(work, before, ofClass);
    const unusual = unusualOf(
      {
        work,
        entries,
        steps: [],
        answeredPoints: new Set(),
        ledOn: false,
        before,
        usual,
        costMinor: minorOf(work.id),
        usualCostsMinor: (usual?.jobs ?? []).slice(0, 30).map(({ id }) => minorOf(id)),
      },
      usualLimits,
    );
    const job = summarise(entryKinds, work, entries);
    pastOf.set(work.assetId, [job, ...before]);
    pastOfClass.set(equipmentClass, [job, ...ofClass]);
    return (work.finishedAt ?? '') < since ? [] : [{ work, unusual }];
  });
}

it('finds about one in ten of a year’s jobs unusual, for several reasons, and not half', () => {
  const year = reasonsOfYear();
  const counts: Record<string, number> = {};
  for (const { unusual } of year) for (const { is } of unusual) counts[is] = (counts[is] ?? 0) + 1;

  const share = year.filter(({ unusual }) => unusual.length > 0).length / year.length;
  expect(share).toBeGreaterThan(0.07);
  expect(share).toBeLessThan(0.15);
  expect(Object.keys(counts).length).toBeGreaterThanOrEqual(4);
});

import { asId, type AssetId, type WorkOrderId } from '@oilcan/core/kernel';
import { digestOf } from '@oilcan/core/past/digest';
import { ann, anAsset, aWorkOrder, bob, minutesLater } from '@oilcan/core/testing';
import { percentile, report } from './report.mjs';

const WEEK_MINUTES = 7 * 24 * 60;

/** What a shift begins with: a week of changes on 20,000 machines, 200 open jobs of mine, and 2,000 finished ones. */
export function benchDigest(): void {
  const assets = Array.from({ length: 20_000 }, (_, index) =>
    anAsset({
      id: asId<AssetId>(`asset-${index}`),
      conditionSince: minutesLater(-((index * 7_919) % (4 * WEEK_MINUTES))),
      condition: index % 3 === 0 ? 'stopped' : 'running',
    }),
  );
  const works = Array.from({ length: 2_200 }, (_, index) =>
    aWorkOrder({
      id: asId<WorkOrderId>(`work-${index}`),
      assetId: asId<AssetId>(`asset-${index % 300}`),
      ...(index < 200
        ? { state: 'underway', personIds: [ann.id] }
        : { state: 'finished', personIds: [bob.id], finishedBy: bob.id, finishedAt: minutesLater(-index * 5) }),
    }),
  );
  const known = { me: ann.id, works, crews: [], assets, levelOf: () => undefined, entriesOn: () => [] };
  const took = Array.from({ length: 40 }, () => {
    const started = performance.now();
    digestOf({ ...known, since: minutesLater(-WEEK_MINUTES) });
    return performance.now() - started;
  });
  const what = 'what changed in a week on 20,000 machines, 95th percentile';
  report(what, percentile(took, 95), 'limit', 50, 'ms', 'aim: 1.0 or less');
}

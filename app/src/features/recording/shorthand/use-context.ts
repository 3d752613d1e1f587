import { useMemo } from 'react';
import { faultChoices, usualFaults } from '@oilcan/core/recording/faults';
import type { LikelyPart, ShorthandContext } from '@oilcan/core/recording/shorthand';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { usePast } from '../../../data/queries/use-past';
import { useRow, useSettings, useTable } from '../../../data/store/store';
import { peekKitLines } from '../../../data/queries/stock';
import { usePointsNear } from '../../../data/queries/points-near';

interface Known {
  readonly context: ShorthandContext;
  /** Parts that this job likely takes still, and how much of each. */
  readonly likely: readonly LikelyPart[];
}

/** What a line on this job is understood by: its kit, what such jobs took, its points, and what its machine had before. */
export function useShorthandContext(work: WorkOrder): Known {
  const parts = useTable('parts');
  // As it stands when the line is opened: an entry that is kept from it need not draw it again.
  const kit = useMemo(() => peekKitLines(work), [work]);
  const points = usePointsNear(work);
  const asset = useRow('assets', work.assetId);
  const settings = useSettings(work.siteId);
  const { assetId, kind, tradeId, title } = work;
  const like = useMemo(() => ({ assetId, kind, tradeId, title }), [assetId, kind, tradeId, title]);
  const past = usePast({ scope: 'asset', id: work.assetId }, like);
  const jobs = past.is === 'here' ? past.whole?.jobs : undefined;
  const usual = past.is === 'here' ? past.said.usual : null;
  const faultsOfPast = useMemo(
    () => usualFaults((jobs ?? []).flatMap(({ at, faults }) => faults.map((fault) => ({ at, fault })))),
    [jobs],
  );
  const ofClass = useMemo(() => faultChoices(asset?.equipmentClass ?? '', settings?.faultCatalogue), [asset, settings]);
  const likely = useMemo(() => {
    const planned = kit.flatMap(({ planned: { partId }, left }) =>
      left === null || left <= 0 ? [] : [{ partId, quantity: left }],
    );
    const others = (usual?.parts ?? []).filter(({ partId }) => kit.every((line) => line.planned.partId !== partId));
    return [...planned, ...others.map(({ partId, quantity }) => ({ partId, quantity }))];
  }, [kit, usual]);
  const context = useMemo(
    () => ({
      parts,
      likelyParts: [...kit.map(({ planned }) => planned.partId), ...(usual?.parts ?? []).map(({ partId }) => partId)],
      points,
      usualFaults: faultsOfPast,
      faults: ofClass,
    }),
    [parts, kit, usual, points, faultsOfPast, ofClass],
  );
  return { context, likely };
}

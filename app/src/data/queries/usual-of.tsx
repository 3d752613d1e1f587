import { useMemo, type ReactNode } from 'react';
import type { JobLike, Usual } from '@oilcan/core/past/past';
import type { Asset } from '@oilcan/core/plant/plant';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { usePast } from './use-past';
import { useRow } from '../store/store';

interface Props {
  readonly work: WorkOrder;
  readonly children: (usual: Usual) => ReactNode;
}

/** What jobs like this one usually take, from the past of its machine or its class; nothing while that is not known. */
export function UsualOf({ work, children }: Props): ReactNode {
  const asset = useRow('assets', work.assetId);
  return asset === undefined ? null : <UsualOn asset={asset} work={work} children={children} />;
}

function UsualOn({ asset, work, children }: Props & { readonly asset: Asset }): ReactNode {
  const usual = useUsual({ ...work, assetId: asset.id });
  return usual === null ? null : children(usual);
}

/** What jobs like one usually take, by the past of its machine or its class; null while that is not known. */
export function useUsual(like: JobLike): Usual | null {
  const { assetId, kind, tradeId, title } = like;
  const asked = useMemo(() => ({ assetId, kind, tradeId, title }), [assetId, kind, tradeId, title]);
  const past = usePast({ scope: 'asset', id: assetId }, asked);
  return past.is === 'here' ? past.said.usual : null;
}

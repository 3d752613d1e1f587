import type { ReactNode } from 'react';
import type { Usual } from '@oilcan/core/past';
import type { Asset } from '@oilcan/core/plant';
import type { WorkOrder } from '@oilcan/core/work';
import { usePast } from './use-past';
import { useRow } from '../store';

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
  const past = usePast({ scope: 'asset', id: asset.id }, work);
  return past.is === 'here' && past.said.usual !== null ? children(past.said.usual) : null;
}

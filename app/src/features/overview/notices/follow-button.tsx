import type { ReactElement } from 'react';
import { mdiBellOutline } from '@mdi/js';
import { followId } from '@oilcan/core/overview/notices';
import type { Asset } from '@oilcan/core/plant/plant';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { useMe } from '../../../data/store/use-me';
import { useRow } from '../../../data/store/store';
import { performOrSay } from '../../../data/store/use-operation';
import { Button } from '../../../ui/press/press';

/** To hear of what changes on this work order, mine or not. */
export function FollowButton({ work }: { readonly work: WorkOrder }): ReactElement {
  const isFollowed = useRow('follows', followId(useMe(), work.id)) !== undefined;
  return (
    <Button
      rank="quiet"
      icon={mdiBellOutline}
      word={isFollowed ? 'You follow this job. Stop' : 'Follow this job'}
      onPress={() => void performOrSay('work.follow', { workOrderId: work.id, isFollowed: !isFollowed })}
    />
  );
}

/** To hear of all work on this machine, new or not, and on what is part of it. */
export function FollowAssetButton({ asset }: { readonly asset: Asset }): ReactElement {
  const isFollowed = useRow('assetFollows', followId(useMe(), asset.id)) !== undefined;
  return (
    <Button
      rank="quiet"
      icon={mdiBellOutline}
      word={isFollowed ? 'You follow this machine. Stop' : 'Follow this machine'}
      onPress={() => void performOrSay('asset.follow', { assetId: asset.id, isFollowed: !isFollowed })}
    />
  );
}

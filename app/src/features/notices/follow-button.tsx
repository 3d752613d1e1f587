import type { ReactElement } from 'react';
import { followId } from '@oilcan/core/notices';
import type { WorkOrder } from '@oilcan/core/work';
import { useRow } from '../../data/store';
import { performOrSay } from '../../data/use-operation';
import { Button } from '../../ui/press';
import { useMe } from '../../data/use-me';
import { mdiBellOutline } from '@mdi/js';

/** To hear of what changes on this work order, mine or not. */
export function FollowButton({ work }: { readonly work: WorkOrder }): ReactElement {
  const me = useMe();
  const isFollowed = useRow('follows', followId(me, work.id)) !== undefined;
  return (
    <Button
      rank="quiet"
      icon={mdiBellOutline}
      word={isFollowed ? 'You follow this job. Stop' : 'Follow this job'}
      onPress={() => void performOrSay('work.follow', { workOrderId: work.id, isFollowed: !isFollowed })}
    />
  );
}

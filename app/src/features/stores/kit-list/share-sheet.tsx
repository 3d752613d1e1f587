import type { ReactElement } from 'react';
import type { KitList } from '@oilcan/core/stores/kit-list';
import { performOrSay } from '../../../data/store/use-operation';
import { usePeopleOf } from '../../../data/queries/use-people-of';
import { PeopleChoice } from '../../../forms/people-choice';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { AppText } from '../../../ui/theme/app-text';

/** Who else sees the list and ticks on it. */
export function ShareSheet({
  list,
  onClose,
}: {
  readonly list: KitList | undefined;
  readonly onClose: () => void;
}): ReactElement {
  const people = usePeopleOf(null, { isWithoutMe: true });
  const sharedWith = list?.sharedWith ?? [];
  return (
    <BottomSheet title="Share the kit list" onClose={onClose}>
      <AppText soft>They see the same list and tick what is in the bag.</AppText>
      <PeopleChoice
        label="Who sees it too"
        isLabelHidden
        {...people}
        chosen={sharedWith}
        onPress={(personId) =>
          void performOrSay('kit-list.share', { personId, isShared: !sharedWith.includes(personId) })
        }
      />
    </BottomSheet>
  );
}

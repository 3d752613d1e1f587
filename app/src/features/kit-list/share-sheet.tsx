import type { ReactElement } from 'react';
import type { KitList } from '@oilcan/core/kit-list';
import { usePhone, useTable } from '../../data/store';
import { performOrSay } from '../../data/use-operation';
import { BottomSheet } from '../../ui/bottom-sheet';
import { Choice } from '../../ui/choice';
import { Words } from '../../ui/words';

/** Who else sees the list and ticks on it. */
export function ShareSheet({
  list,
  onClose,
}: {
  readonly list: KitList | undefined;
  readonly onClose: () => void;
}): ReactElement {
  const me = usePhone((state) => state.person?.id);
  const people = useTable('people').filter(({ id }) => id !== me);
  return (
    <BottomSheet title="Share the kit list" onClose={onClose}>
      <Words soft>They see the same list and tick what is in the bag.</Words>
      {people.map(({ id, name }) => {
        const isShared = list?.sharedWith.includes(id) ?? false;
        return (
          <Choice
            key={id}
            isMany
            word={name}
            isChosen={isShared}
            onPress={() => void performOrSay('kit-list.share', { personId: id, isShared: !isShared })}
          />
        );
      })}
    </BottomSheet>
  );
}

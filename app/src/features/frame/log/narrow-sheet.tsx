import type { ReactElement } from 'react';
import { usePhone, useTable } from '../../../data/store/store';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Choice, Choices } from '../../../ui/fields/choice';
import { Button } from '../../../ui/press/press';

export const spans = ['today', 'week', 'month', 'all'] as const;
export type Span = (typeof spans)[number];

export const spanWords: Readonly<Record<Span, string>> = {
  today: 'Today',
  week: 'In seven days',
  month: 'In thirty days',
  all: 'At any time',
};

export interface Narrowing {
  /** Whose; null for everybody's. */
  readonly by: string | null;
  readonly span: Span;
}

interface Props {
  readonly narrowing: Narrowing;
  readonly onChoose: (narrowing: Narrowing) => void;
  readonly onClose: () => void;
}

/** By whom and when. */
export function NarrowSheet({ narrowing, onChoose, onClose }: Props): ReactElement {
  const people = useTable('people');
  const sites = usePhone((state) => state.person?.siteIds);
  const mates = people.filter(({ siteIds }) => siteIds.some((id) => sites?.includes(id) === true));
  return (
    <BottomSheet title="Filter" onClose={onClose} foot={<Button rank="primary" word="Show these" onPress={onClose} />}>
      <Choices label="When">
        {spans.map((span) => (
          <Choice
            key={span}
            word={spanWords[span]}
            isChosen={narrowing.span === span}
            onPress={() => onChoose({ ...narrowing, span })}
          />
        ))}
      </Choices>
      <Choices label="By whom">
        <Choice
          word="Everybody"
          isChosen={narrowing.by === null}
          onPress={() => onChoose({ ...narrowing, by: null })}
        />
        {mates.map(({ id, name }) => (
          <Choice
            key={id}
            word={name}
            isChosen={narrowing.by === id}
            onPress={() => onChoose({ ...narrowing, by: id })}
          />
        ))}
      </Choices>
    </BottomSheet>
  );
}

import { useMemo, type ReactElement } from 'react';
import { Choice, Choices } from '../../ui/press';
import type { Present } from './narrowing';
import { sectionsAmong, type Listed } from './shift-list';
import { allWork, useKeptViews, useShiftChoice } from './use-narrowing';

interface Props {
  readonly listed: readonly Listed[];
  readonly present: Present;
}

/** The views that the person keeps, each with how many jobs it shows now; a second press shows all again. */
export function KeptViews({ listed, present }: Props): ReactElement | null {
  const { value: views } = useKeptViews();
  const { value: choice, choose } = useShiftChoice();
  const { now, zone } = present;
  const counts = useMemo(
    () =>
      views.map(({ shown }) =>
        sectionsAmong(listed, shown, { now, zone }).reduce((sum, { data }) => sum + data.length, 0),
      ),
    [views, listed, now, zone],
  );
  if (views.length === 0) return null;
  const open = JSON.stringify(choice);
  return (
    <Choices label="My views">
      {views.map(({ name, shown }, index) => {
        const isOpen = JSON.stringify(shown) === open;
        return (
          <Choice
            key={name}
            word={`${name} ${counts[index] ?? 0}`}
            isChosen={isOpen}
            onPress={() => choose(isOpen ? allWork : shown)}
          />
        );
      })}
    </Choices>
  );
}

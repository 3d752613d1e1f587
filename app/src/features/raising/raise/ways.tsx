import type { ReactElement } from 'react';
import { hasRole } from '@oilcan/core/operations';
import type { Person } from '@oilcan/core/plant/people';
import { Choice, Choices } from '../../../ui/fields/choice';

/** What can become of what somebody noticed or did. */
export const ways = ['now', 'plan', 'report', 'done', 'incident'] as const;
export type Way = (typeof ways)[number];

const wayWords: Readonly<Record<Way, string>> = {
  now: 'Do it now',
  plan: 'Plan it',
  report: 'Report it',
  done: 'Already done',
  incident: 'Incident',
};

/** The ways that are open to a person, the likeliest first. */
export function waysOf(person: Pick<Person, 'roles' | 'siteIds'>): readonly Way[] {
  if (hasRole(person, ['lead'])) return ['plan', 'report', 'now', 'done', 'incident'];
  if (hasRole(person, ['technician'])) return ways;
  return ['report', 'incident'];
}

export function isWay(given: string | undefined): given is Way {
  return ways.some((way) => way === given);
}

interface Props {
  readonly open: readonly Way[];
  readonly way: Way;
  readonly onChoose: (way: Way) => void;
}

/** One row of choices: what becomes of it. Another press changes one’s mind, and what was typed stays. */
export function WaysChoice({ open, way, onChoose }: Props): ReactElement {
  return (
    <Choices label="What becomes of it">
      {open.map((each) => (
        <Choice key={each} word={wayWords[each]} isChosen={each === way} onPress={() => onChoose(each)} />
      ))}
    </Choices>
  );
}

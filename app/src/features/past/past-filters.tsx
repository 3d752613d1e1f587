import type { ReactElement } from 'react';
import type { PastEventKind, PastFilter } from '@oilcan/core/past';
import { pastEventKinds } from '@oilcan/core/registry';
import { FindField } from '../../ui/find-field';
import { Choice, Choices } from '../../ui/press';
import { eventWords, periodWords, periods, stateFilterWords, type Period } from './event-words';

/** What somebody chose to see of a past. */
export interface PastChoice extends Pick<PastFilter, 'kind' | 'state' | 'words'> {
  readonly period: Period;
}

export const wholePast: PastChoice = { kind: 'work', state: 'all', words: '', period: 'all' };

interface Props {
  readonly choice: PastChoice;
  readonly onChange: (choice: PastChoice) => void;
  readonly counts: Readonly<Record<PastEventKind, number>>;
}

/** By words, kind of event, period, and open or ended. */
export function PastFilters({ choice, onChange, counts }: Props): ReactElement {
  return (
    <>
      <FindField label="Find in this past" value={choice.words} onChange={(words) => onChange({ ...choice, words })} />
      <EventKinds chosen={choice.kind} onChange={(kind) => onChange({ ...choice, kind })} counts={counts} />
      <Choices label="Period">
        {periods.map((period) => (
          <Choice
            key={period}
            word={periodWords[period]}
            isChosen={choice.period === period}
            onPress={() => onChange({ ...choice, period })}
          />
        ))}
      </Choices>
      <Choices label="Open or ended">
        {(['all', 'open', 'ended'] as const).map((state) => (
          <Choice
            key={state}
            word={stateFilterWords[state]}
            isChosen={choice.state === state}
            onPress={() => onChange({ ...choice, state })}
          />
        ))}
      </Choices>
    </>
  );
}

/** The kinds of event, with how many there are of each. */
export function EventKinds({
  chosen,
  onChange,
  counts,
}: {
  readonly chosen: PastEventKind;
  readonly onChange: (kind: PastEventKind) => void;
  readonly counts: Props['counts'];
}): ReactElement {
  return (
    <Choices label="Kind of event">
      {pastEventKinds.map((kind) => (
        <Choice
          key={kind}
          word={`${eventWords(kind)} ${counts[kind]}`}
          isChosen={chosen === kind}
          onPress={() => onChange(kind)}
        />
      ))}
    </Choices>
  );
}

import type { ReactElement } from 'react';
import type { PastEventKind, PastFilter } from '@oilcan/core/past/past';
import { pastEventKinds } from '@oilcan/core/registry';
import { FindField } from '../../../ui/fields/find-field';
import { FilterChip, FilterChips } from '../../../ui/fields/filter-chips';
import { More } from '../../../ui/press/more';
import { useIsWide } from '../../../ui/theme/theme';
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
  const isWide = useIsWide();
  const find = (
    <FindField label="Find in this past" value={choice.words} onChange={(words) => onChange({ ...choice, words })} />
  );
  const rare = (
    <>
      <FilterChips isOneOf label="Period">
        {periods.map((period) => (
          <FilterChip
            key={period}
            word={periodWords[period]}
            isOn={choice.period === period}
            onPress={() => onChange({ ...choice, period })}
          />
        ))}
      </FilterChips>
      <FilterChips isOneOf label="Open or ended">
        {(['all', 'open', 'ended'] as const).map((state) => (
          <FilterChip
            key={state}
            word={stateFilterWords[state]}
            isOn={choice.state === state}
            onPress={() => onChange({ ...choice, state })}
          />
        ))}
      </FilterChips>
    </>
  );
  return (
    <>
      <EventKinds chosen={choice.kind} onChange={(kind) => onChange({ ...choice, kind })} counts={counts} />
      {isWide ? (
        <>
          {find}
          {rare}
        </>
      ) : (
        <More word="Find, period" label="find, period, open or ended">
          {find}
          {rare}
        </More>
      )}
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
    <FilterChips isOneOf label="Kind of event">
      {pastEventKinds.map((kind) => (
        <FilterChip
          key={kind}
          word={eventWords(kind)}
          count={counts[kind]}
          isOn={chosen === kind}
          onPress={() => onChange(kind)}
        />
      ))}
    </FilterChips>
  );
}

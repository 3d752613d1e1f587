import type { PersonId } from '../../../kernel/ids';
import { currentOf, type Entry } from '../../orders/work/entries';
import type { NoneOf } from './none-entries';

/** Whether something of it is recorded; time only that of the person who is asked about. */
export function isRecorded(of: NoneOf, entries: readonly Entry[], personId: PersonId): boolean {
  switch (of) {
    case 'part':
      return currentOf(entries, 'part').length > 0;
    case 'stoppage':
      return currentOf(entries, 'stoppage').length > 0;
    case 'fault':
      return currentOf(entries, 'fault').length > 0;
    case 'time':
      return currentOf(entries, 'labor').some(({ content }) => content.personId === personId);
  }
}

/** Of what of a whole job there can be none. */
const ofJob = ['part', 'stoppage', 'fault'] as const;
export type NoneOfJob = (typeof ofJob)[number];

/** Of what of the whole job it is said that there was none. */
export function jobSaidNone(entries: readonly Entry[]): NoneOfJob[] {
  const of = currentOf(entries, 'none').map(({ content }) => content.of);
  return ofJob.filter((each) => of.includes(each) && currentOf(entries, each).length === 0);
}

/**
 * Of what it is said that there was none, which is another thing than that nothing is said of it. What is recorded later is
 * stronger than what was said. Time is said by each for themselves.
 */
export function saidNone(entries: readonly Entry[], personId: PersonId): NoneOf[] {
  const said = currentOf(entries, 'none').filter(({ content, by }) => content.of !== 'time' || by === personId);
  return [...new Set(said.map(({ content }) => content.of))].filter((of) => !isRecorded(of, entries, personId));
}

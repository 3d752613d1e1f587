import type { PersonId } from '../../../kernel/ids';
import { addMinutes, type Instant } from '../../../kernel/time/instant';
import { localDate } from '../../../kernel/time/local-day';
import { startOfDay, type Zone } from '../../../kernel/time/zone';
import type { Entry } from '../../orders/work/entries';
import { clockMinutes, type Clock } from './clock';

/** So much longer than a shift may somebody have stayed before their clock is asked about. */
const STAYED_ON_MINUTES = 120;

/** Whether a clock was probably forgotten: it was started on an earlier day and has run for longer than anybody stays. */
export function isProbablyForgotten(clock: Clock, now: Instant, zone: Zone, shiftMinutes: number): boolean {
  return (
    clock.isPaused !== true &&
    localDate(clock.startedAt, zone) < localDate(now, zone) &&
    clockMinutes(clock.startedAt, now) > shiftMinutes + STAYED_ON_MINUTES
  );
}

/** When somebody probably stopped: with the last thing they recorded, or at the end of their shift. */
export interface ProposedEnd {
  readonly by: 'last entry' | 'end of shift';
  readonly at: Instant;
}

/**
 * Proposals for the end of a forgotten clock, the likelier first: the last thing that its person recorded within a shift of its
 * start, and the end of the shift, counted from the first thing they recorded on that day.
 *
 * @param entries what is recorded on any work order, in any order
 */
export function proposedEnds(
  clock: Clock,
  entries: readonly Pick<Entry, 'by' | 'at' | 'content'>[],
  now: Instant,
  zone: Zone,
  shiftMinutes: number,
): ProposedEnd[] {
  const longest = addMinutes(clock.startedAt, shiftMinutes + STAYED_ON_MINUTES);
  const began = beginOfShift(clock, entries, zone);
  const ofPerson = entries.filter(({ by }) => by === clock.id).map(({ at }) => at);
  const last = ofPerson
    .filter((at) => at > clock.startedAt && at <= longest)
    .sort()
    .at(-1);
  const proposals: ProposedEnd[] = last === undefined ? [] : [{ by: 'last entry', at: last }];
  proposals.push({ by: 'end of shift', at: addMinutes(began, shiftMinutes) });
  return proposals.filter(({ at }) => at > clock.startedAt && at < now);
}

function beginOfShift(clock: Clock, entries: readonly Pick<Entry, 'by' | 'at' | 'content'>[], zone: Zone): Instant {
  const dayBegan = startOfDay(clock.startedAt, zone);
  const begun = entries
    .flatMap(({ by, at, content }) => beginOf(clock.id, by, at, content))
    .filter((at) => at >= dayBegan && at < clock.startedAt);
  return begun.sort()[0] ?? clock.startedAt;
}

function beginOf(personId: PersonId, by: PersonId, at: Instant, content: Entry['content']): Instant[] {
  if (content.kind === 'labor') return content.personId === personId ? [content.startedAt] : [];
  return by === personId ? [at] : [];
}

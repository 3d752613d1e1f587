import type { Instant } from '../../kernel/time/instant';
import { LONGEST_LABOR_MINUTES } from '../../kernel/time/duration';
import { accepted, refuse, type OperationContext, type Outcome } from '../../operations/operation';
import type { Records } from '../../records/records';
import { entryBeside } from '../work/entry-ids';
import { newEntry } from '../work/guards';
import { clockMinutes, type Clock } from './clock';
import { laborContent } from './labor';

/**
 * Stops a clock at a moment: the clock goes, its time stays as an entry on the work order it ran for.
 *
 * @param because why somebody else stops it
 */
export async function stopClock(
  records: Records,
  clock: Clock,
  endedAt: Instant,
  context: OperationContext,
  because?: string,
): Promise<Outcome> {
  const minutes = clockMinutes(clock.startedAt, endedAt);
  if (minutes > LONGEST_LABOR_MINUTES) return refuse('clock_ran_too_long', {}, 'endedAt');
  const work = await records.get('workOrders', clock.workOrderId);
  await records.remove('clocks', clock.id);
  // The clock was allowed to start there, so its time belongs there, whatever became of the work order meanwhile.
  if (work === undefined) return accepted;
  const labor = { personId: clock.id, startedAt: clock.startedAt, minutes, timeType: 'regular' as const };
  const content = await laborContent(records, work, labor);
  if (!content.ok) return content;
  const stoppedBecause = because === undefined ? {} : { stoppedBecause: because };
  const entry = newEntry(work, { ...content.value, ...stoppedBecause }, context);
  await records.put('entries', { ...entry, id: entryBeside(context.entryId, 'clock') });
  return accepted;
}

import { toMillis, type Instant } from '../../../kernel/time/instant';
import { LONGEST_LABOR_MINUTES } from '../../../kernel/time/duration';
import { accepted, refuse, type OperationContext, type Outcome } from '../../../operations/operation';
import type { Records } from '../../../records/records';
import type { WorkOrderId } from '../../../kernel/ids';
import { entryBeside, type EntryBeside } from '../../orders/work/entry-ids';
import { newEntry } from '../../orders/work/guards';
import { settleTime } from '../../orders/work/time-owed';
import { clockMinutes, type Clock } from './clock';
import { laborContent } from './labor';

/**
 * Stops a clock at a moment: the clock goes, its time stays as an entry on the work order it ran for. Of one that is paused the
 * time is recorded already.
 *
 * @param because why somebody else stops it
 * @param beside which of the operation's entries its time becomes
 */
export async function stopClock(
  records: Records,
  clock: Clock,
  endedAt: Instant,
  context: OperationContext,
  because?: string,
  beside: EntryBeside = 'clock',
): Promise<Outcome> {
  if (clock.isPaused === true) {
    await records.remove('clocks', clock.id);
    return accepted;
  }
  const recorded = await recordClock(records, clock, endedAt, context, because, beside);
  if (recorded.ok) await records.remove('clocks', clock.id);
  return recorded;
}

/** Takes away the clocks that are paused on a work order that ends. */
export async function removePausedClocks(records: Records, workOrderId: WorkOrderId): Promise<void> {
  for (const { id, isPaused } of await records.list('clocks', 'workOrder', workOrderId)) {
    if (isPaused === true) await records.remove('clocks', id);
  }
}

/** A clock that ran no longer was pressed by mistake, or twice: that is no work. */
const SLIP_MILLISECONDS = 2_000;

/** Records what a clock has run as an entry on its work order; the clock itself is left. */
export async function recordClock(
  records: Records,
  clock: Clock,
  endedAt: Instant,
  context: OperationContext,
  because?: string,
  beside: EntryBeside = 'clock',
): Promise<Outcome> {
  // By a device whose clock is off, times may have moved together that were apart: that is no slip.
  const isSlip = toMillis(endedAt) - toMillis(clock.startedAt) < SLIP_MILLISECONDS && context.clockOffMinutes === 0;
  if (isSlip) return accepted;
  const minutes = clockMinutes(clock.startedAt, endedAt);
  if (minutes > LONGEST_LABOR_MINUTES) return refuse('clock_ran_too_long', {}, 'endedAt');
  const work = await records.get('workOrders', clock.workOrderId);
  // The clock was allowed to start there, so its time belongs there, whatever became of the work order meanwhile.
  if (work === undefined) return accepted;
  const labor = { personId: clock.id, startedAt: clock.startedAt, minutes, timeType: 'regular' as const };
  const content = await laborContent(records, work, labor);
  if (!content.ok) return content;
  const stoppedBecause = because === undefined ? {} : { stoppedBecause: because };
  const entry = newEntry(work, { ...content.value, ...stoppedBecause }, context);
  await records.put('entries', { ...entry, id: entryBeside(context.entryId, beside) });
  await settleTime(records, work.id, [clock.id]);
  return accepted;
}

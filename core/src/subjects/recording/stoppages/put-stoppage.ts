import * as yup from 'yup';
import type { EntryId } from '../../../kernel/ids';
import { choiceField, instantField } from '../../../kernel/schema/fields';
import { addMinutes, type Instant } from '../../../kernel/time/instant';
import { accepted, refuse, type OperationContext, type Outcome } from '../../../operations/operation';
import type { Records } from '../../../records/records';
import type { Asset } from '../../plant/plant/plant';
import { newEntry } from '../../orders/work/guards';
import type { WorkOrder } from '../../orders/work/work-order';
import { beginOnMachine } from './machine-condition';
import { extents, type Extent, type StoppageContent } from './stoppages-entries';

/** Times are typed in whole minutes, so they may lie up to this far past the present. */
const ROUNDING_MINUTES = 1;
const OLDEST_MINUTES = 366 * 24 * 60;
const NO_PERCENT = 'Give how many percent are lost, from 1 to 99.';

/** How much less a machine does that runs reduced, in percent; null where nobody said. */
const lostPercentField = yup
  .number()
  .strict()
  .integer('Give a whole number of percent.')
  .min(1, NO_PERCENT)
  .max(99, NO_PERCENT)
  .nullable()
  .defined() as unknown as yup.Schema<number | null>;

/** Since when a machine stands still or runs reduced, and by how much. */
export const howStopped = {
  from: instantField(),
  extent: choiceField(extents),
  lostPercent: lostPercentField,
};

export interface NewStoppage {
  readonly from: Instant;
  /** Null while it lasts. */
  readonly to: Instant | null;
  readonly extent: Extent;
  readonly lostPercent: number | null;
  readonly isPlanned: boolean;
}

/** Records a stoppage of a machine on a work order; while it lasts, the machine is marked so. */
export async function putStoppage(
  records: Records,
  work: WorkOrder,
  asset: Asset,
  { from, to, extent, lostPercent, isPlanned }: NewStoppage,
  entryId: EntryId,
  context: OperationContext,
): Promise<Outcome> {
  const possible = checkTimes(from, to, context);
  if (!possible.ok) return possible;
  const reduced = extent === 'full' || lostPercent === null ? {} : { lostPercent };
  const content: StoppageContent = { kind: 'stoppage', from, to, extent, isPlanned, ...reduced };
  await records.put('entries', { ...newEntry(work, content, context), id: entryId, assetId: asset.id });
  if (to === null) await beginOnMachine(records, asset, { entryId, workOrderId: work.id, from, extent });
  return accepted;
}

/** Whether a stoppage can have been then: within the last year, not to come, and over only after it began. */
export function checkTimes(from: Instant, to: Instant | null, context: OperationContext): Outcome {
  const latest = addMinutes(context.at, ROUNDING_MINUTES);
  if (from > latest) return refuse('stoppage_in_future', {}, 'from');
  if (to !== null && to > latest) return refuse('stoppage_in_future', {}, 'to');
  if (from < addMinutes(context.at, -OLDEST_MINUTES)) return refuse('stoppage_too_old', {}, 'from');
  return to !== null && to < from ? refuse('stoppage_ends_before', {}, 'to') : accepted;
}

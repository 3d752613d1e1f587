import { applyOperation, type ArgsOf, type OperationName } from '../registry/operations';
import type { Operation, Outcome, Side } from '../operations/operation';
import { type Instant, addMinutes, parseInstant } from '../kernel/time/instant';
import { noon, smallWorks, ann, anOperation, workId, partId, binId } from './builders';
import { type MemoryRecords } from '../records/memory-records';
import type { WorkOrder } from '../subjects/orders/work/work-order';
import type { Step } from '../subjects/steps/steps/step';
import { memoryWith } from './records-conformance';
import type { Entry } from '../subjects/orders/work/entries';
import { stockLevelId } from '../subjects/stores/stock/stock';
import { nextOn } from '../subjects/finishing/plans/rule';

/** So many minutes after noon. */
export const minutesLater = (minutes: number): Instant => addMinutes(noon, minutes);

/** A server at a moment that gives no numbers. */
export const sideAt = (now: Instant): Side => ({ now, newNumber: null, revision: null, nextOn });

/** The code of a refusal, or `accepted`. */
export const codeOf = (outcome: Outcome): string => (outcome.ok ? 'accepted' : outcome.code);

/** A works on which people do things one after the other; each gives its outcome. */
export class Works {
  readonly records: MemoryRecords;

  constructor(work: Partial<WorkOrder> = {}, steps: readonly Step[] = []) {
    this.records = memoryWith(smallWorks(work, steps));
  }

  async send(operation: Operation, by = ann, now = parseInstant(operation.at)): Promise<Outcome> {
    const { outcome, changes } = await applyOperation(this.records, operation, by, sideAt(now));
    this.records.change(changes);
    return outcome;
  }

  do<N extends OperationName>(name: N, args: ArgsOf<N>, by = ann, at: string = noon): Promise<Outcome> {
    return this.send(anOperation(name, args, { by: by.id, at, knownUntil: parseInstant(at) }), by);
  }

  get work(): WorkOrder | undefined {
    return this.records.peek('workOrders', workId);
  }

  get entries(): readonly Entry[] {
    return this.records.peekList('entries', 'workOrder', workId);
  }

  get onHand(): number | undefined {
    return this.records.peek('stock', stockLevelId(partId, binId))?.onHand;
  }
}

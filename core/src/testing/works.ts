import { applyOperation } from '../operations/apply';
import type { Operation, Outcome } from '../operations/operation';
import type { ArgsOf, OperationName } from '../operations/registry';
import type { Entry } from '../work/entries';
import type { MemoryRecords } from '../records/memory-records';
import { stockLevelId } from '../stock/stock';
import { addMinutes, parseInstant, type Instant } from '../time/instant';
import type { Step } from '../work/steps';
import type { WorkOrder } from '../work/work-order';
import { anOperation, ann, binId, noon, partId, smallWorks, workId } from './builders';
import { memoryWith } from './records-conformance';

/** So many minutes after noon. */
export const minutesLater = (minutes: number): Instant => addMinutes(noon, minutes);

/** The code of a refusal, or `accepted`. */
export const codeOf = (outcome: Outcome): string => (outcome.ok ? 'accepted' : outcome.code);

/** A works on which people do things one after the other; each gives its outcome. */
export class Works {
  readonly records: MemoryRecords;

  constructor(work: Partial<WorkOrder> = {}, steps: readonly Step[] = []) {
    this.records = memoryWith(smallWorks(work, steps));
  }

  async send(operation: Operation, by = ann, now = parseInstant(operation.at)): Promise<Outcome> {
    const { outcome, changes } = await applyOperation(this.records, operation, by, now);
    this.records.change(changes);
    return outcome;
  }

  do<N extends OperationName>(name: N, args: ArgsOf<N>, by = ann, at: string = noon): Promise<Outcome> {
    return this.send(anOperation(name, args, { by: by.id, at, knew: parseInstant(at) }), by);
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

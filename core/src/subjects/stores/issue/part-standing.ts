import type { PartId } from '../../../kernel/ids';
import type { Thousandths } from '../../../kernel/quantity/quantity';
import { isOpen } from '../../orders/work/states';
import type { WorkOrder } from '../../orders/work/work-order';
import { openAmount, type StoreRequest } from '../requests/request';
import { kitNeeds } from '../stock/kit';
import { wantsCount, type Part, type StockLevel } from '../stock/stock';
import { inTransit, type Transfer } from '../transfers/transfer';

/** How a part stands, by what is known here. */
export interface PartStanding {
  /** In all bins, by the books. */
  readonly onHand: Thousandths;
  readonly bins: number;
  /** Between stores: nobody's stock, and not in `onHand`. */
  readonly inTransit: Thousandths;
  /** What the kits of open jobs still need. */
  readonly needed: Thousandths;
  readonly jobs: number;
  /** What was asked for beyond what those kits need: by no job, or more than was planned. */
  readonly askedBeyond: Thousandths;
  /** What is left when all of that was given; below zero where it does not reach. */
  readonly remains: Thousandths;
  /** Whether a bin stands below zero by the books, so that nothing here is sure. */
  readonly wantsCount: boolean;
}

export interface StandingRows {
  readonly levels: readonly StockLevel[];
  readonly requests: readonly StoreRequest[];
  readonly transfers: readonly Transfer[];
  readonly works: readonly WorkOrder[];
  /** What was used of the part on a job, as far as this device knows. */
  readonly usedOn: (workOrderId: WorkOrder['id']) => Thousandths;
}

/** A job that asked the store for what its kit needs anyway needs it once. */
export function partStanding(part: Pick<Part, 'id' | 'unit'>, rows: StandingRows): PartStanding {
  const ofPart = <Row extends { readonly partId: PartId | null }>(some: readonly Row[]): Row[] =>
    some.filter(({ partId }) => partId === part.id);
  const levels = ofPart(rows.levels);
  const onHand = levels.reduce((sum, level) => sum + level.onHand, 0);
  const asked = new Map<string, Thousandths>();
  for (const request of ofPart(rows.requests)) {
    const key = request.workOrderId ?? '';
    asked.set(key, (asked.get(key) ?? 0) + openAmount(request));
  }
  let needed = 0;
  let jobs = 0;
  let askedBeyond = asked.get('') ?? 0;
  for (const work of rows.works) {
    if (!isOpen(work.state)) continue;
    const lines = work.kit.filter(({ partId }) => partId === part.id);
    const needs = kitNeeds(
      lines,
      () => rows.usedOn(work.id),
      () => part,
    );
    const left = needs.reduce((sum, need) => sum + (need.left ?? 0), 0);
    if (left > 0) jobs += 1;
    needed += left;
    askedBeyond += Math.max(0, (asked.get(work.id) ?? 0) - left);
  }
  return {
    onHand,
    bins: levels.length,
    inTransit: ofPart(rows.transfers).reduce((sum, transfer) => sum + inTransit(transfer), 0),
    needed,
    jobs,
    askedBeyond,
    remains: onHand - needed - askedBeyond,
    wantsCount: levels.some(wantsCount),
  };
}

import type { PartId } from '../../../kernel/ids';
import type { Thousandths } from '../../../kernel/quantity/quantity';
import type { Part } from './stock';
import { exactQuantity, roundQuantity, type ExactQuantity } from '../../../kernel/quantity/units';
import { currentOf, type Entry } from '../../orders/work/entries';
import type { KitPart } from '../../orders/work/work-order';

/** One planned line of a kit: what is planned, what of it was used, and what is still to be taken. */
export interface KitNeed {
  readonly planned: KitPart;
  /** What is planned, in `unit`. */
  readonly quantity: Thousandths;
  /** The part's own unit, or the planned one where that does not convert to it. */
  readonly unit: string;
  /** In the part's unit. */
  readonly used: Thousandths;
  /** In the part's unit, never below zero; null where the planned unit does not convert to it. */
  readonly left: Thousandths | null;
  /** The same before rounding, for adding it up. */
  readonly exactLeft: ExactQuantity | null;
}

type PartOf = (partId: PartId) => Pick<Part, 'unit'> | undefined;

/**
 * What a kit still needs. What was used of a part counts against its lines in their order, each up to what is planned
 * there; what was used beyond all of them stands at the last.
 *
 * @param usedOf what was used of a part, in its unit
 */
export function kitNeeds(
  kit: readonly KitPart[],
  usedOf: (partId: PartId) => Thousandths,
  partOf: PartOf,
): readonly KitNeed[] {
  const lines = kit.map((planned) => ({ planned, inPartUnit: plannedInPartUnit(planned, partOf(planned.partId)) }));
  const lastOf = new Map<PartId, number>();
  for (const isComparable of [false, true]) {
    for (const [index, { planned, inPartUnit }] of lines.entries())
      if ((inPartUnit !== null) === isComparable) lastOf.set(planned.partId, index);
  }
  /** What is left to be counted against the lines that follow, in the fine steps of the part's unit. */
  const rest = new Map<PartId, bigint>();
  return lines.map(({ planned, inPartUnit }, index) => {
    const { partId } = planned;
    const unit = partOf(partId)?.unit ?? planned.unit ?? '';
    const { below } = exactQuantity(0, unit, unit) ?? { below: 1n };
    const usable = rest.get(partId) ?? BigInt(Math.max(0, usedOf(partId))) * below;
    const spent = inPartUnit === null ? 0n : usable < inPartUnit.above ? usable : inPartUnit.above;
    const left = usable - (lastOf.get(partId) === index ? usable : spent);
    rest.set(partId, left);
    const exactLeft = inPartUnit === null ? null : { above: inPartUnit.above - spent, below };
    return {
      planned,
      quantity: inPartUnit === null ? planned.quantity : roundQuantity(inPartUnit),
      unit: (inPartUnit === null ? planned.unit : unit) ?? '',
      // Rounded as a running sum, so that what the lines say adds up to what was used.
      used: roundQuantity({ above: usable, below }) - roundQuantity({ above: left, below }),
      left: exactLeft === null ? null : roundQuantity(exactLeft),
      exactLeft,
    };
  });
}

/**
 * What lines of one part plan together: in its own unit where all of them convert to it, else as the first was planned; null for none.
 */
export function plannedAmount(
  lines: readonly KitPart[],
  part: Pick<Part, 'unit'> | undefined,
): { readonly quantity: Thousandths; readonly unit: string | null } | null {
  const [first] = lines;
  if (first === undefined) return null;
  const amounts = lines.map((line) => plannedInPartUnit(line, part));
  if (part === undefined || amounts.includes(null)) return { quantity: first.quantity, unit: first.unit };
  const quantity = amounts.reduce((sum, amount) => sum + (amount === null ? 0 : roundQuantity(amount)), 0);
  return { quantity, unit: part.unit };
}

/** A planned amount in the part's own unit; null when the two units measure different things. */
function plannedInPartUnit(planned: KitPart, part: Pick<Part, 'unit'> | undefined): ExactQuantity | null {
  const unit = part?.unit ?? planned.unit ?? '';
  return exactQuantity(planned.quantity, planned.unit ?? unit, unit);
}

/** What was used of each part by what was recorded on a job. */
export function usedIn(entries: readonly Entry[]): (partId: PartId) => Thousandths {
  const used = new Map<PartId, Thousandths>();
  for (const { content } of currentOf(entries, 'part'))
    used.set(content.partId, (used.get(content.partId) ?? 0) + content.quantity);
  return (partId) => used.get(partId) ?? 0;
}

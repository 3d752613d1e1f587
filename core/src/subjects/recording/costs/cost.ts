import type { AssetId } from '../../../kernel/ids';
import { sumsByCurrency, type Money } from '../../../kernel/money/money';
import { currentEntries, currentOf, type Entry } from '../../orders/work/entries';
import { anyEntryKind, costGroups, type CostGroup, type EntryKindSet } from '../../orders/work/entry-kinds';

/** What a work order cost. Amounts of different currencies are never added: there is one sum of each. */
export interface WorkCost {
  readonly laborMinutes: number;
  /** Of each group: its sums; null where some of it has no cost that one may see. */
  readonly groups: Readonly<Record<CostGroup, readonly Money[] | null>>;
  /** Of all groups, as far as they may be seen. */
  readonly total: readonly Money[];
}

/** What a work order cost, from its standing entries. */
export function costOfEntries(kinds: EntryKindSet, entries: readonly Entry[]): WorkCost {
  const amounts = new Map<CostGroup, (Money | null)[]>(costGroups.map((group) => [group, []]));
  for (const { content } of currentEntries(entries)) {
    const cost = anyEntryKind(kinds, content.kind)?.cost ?? null;
    if (cost !== null) amounts.get(cost.group)?.push(cost.amount(content));
  }
  const sumOf = (group: CostGroup): readonly Money[] | null => {
    const known = (amounts.get(group) ?? []).flatMap((amount) => amount ?? []);
    return known.length < (amounts.get(group) ?? []).length ? null : sumsByCurrency(known);
  };
  const groups = {
    time: sumOf('time'),
    material: sumOf('material'),
    boughtIn: sumOf('boughtIn'),
    other: sumOf('other'),
  };
  return {
    laborMinutes: currentOf(entries, 'labor').reduce((sum, { content }) => sum + content.minutes, 0),
    groups,
    total: sumsByCurrency(costGroups.flatMap((group) => groups[group] ?? [])),
  };
}

/** What is charged to one cost centre; null where none is said. */
export interface CentreCost {
  readonly centre: string | null;
  readonly sums: readonly Money[];
}

/**
 * What a work order cost by cost centre, as far as it may be seen: what names one is charged there, all else to that of the machine
 * it was recorded on. The sums add up to the total of `costOfEntries`.
 *
 * @param centreOf the cost centre of a machine; undefined where it has none
 */
export function costByCentre(
  kinds: EntryKindSet,
  entries: readonly Entry[],
  centreOf: (assetId: AssetId) => string | undefined,
): CentreCost[] {
  const amounts = new Map<string | null, Money[]>();
  for (const { assetId, content } of currentEntries(entries)) {
    const amount = anyEntryKind(kinds, content.kind)?.cost?.amount(content) ?? null;
    if (amount === null) continue;
    const chosen = 'costCentre' in content ? content.costCentre : undefined;
    const centre = chosen ?? centreOf(assetId) ?? null;
    amounts.set(centre, [...(amounts.get(centre) ?? []), amount]);
  }
  return [...amounts].map(([centre, of]) => ({ centre, sums: sumsByCurrency(of) }));
}

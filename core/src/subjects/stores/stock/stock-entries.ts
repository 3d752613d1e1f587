import type { PartId } from '../../../kernel/ids';
import type { Thousandths } from '../../../kernel/quantity/quantity';
import type { Fields } from '../../../records/table';
import { operationOf } from '../../orders/work/entry-ids';
import type { EntryOf } from '../../orders/work/entries';
import { moneyCells, noCells } from '../../orders/work/entry-cells';
import { plainEntry, type EntryKindsNamed } from '../../orders/work/entry-kinds';
import { settleAgain } from '../requests/settle';
import type { PartContent } from './part-content';
import { moveStock } from './part-use';
import type { KitContent } from './plan-part';
import type { RemovalContent } from './removal';
import { revalueReturns } from './return-part';
import { putInAgain } from './serials';

/** What a past keeps of a part that was used, added up over the job. */
export interface PastPart {
  readonly partId: PartId;
  readonly quantity: Thousandths;
}

declare module '../../orders/work/entries' {
  interface EntryContents {
    part: PartContent;
    removal: RemovalContent;
    kit: KitContent;
  }
}

declare module '../../orders/work/entry-kinds' {
  interface PastKept {
    part: PastPart;
  }
}

export const stockEntries: EntryKindsNamed<'part' | 'removal' | 'kit'> = {
  part: {
    ...plainEntry,
    cells: ({ partId, quantity, cost }, { part }) => ({
      part: part(partId)?.number ?? partId,
      quantity: quantity / 1_000,
      unit: part(partId)?.unit ?? '',
      ...moneyCells(cost),
    }),
    amendedBy: 'part.amend',
    withdraw: async (records, work, { id, at, content }, context) => {
      const leaves = await revalueReturns(records, work, content.partId, context);
      if (!leaves.ok) return leaves;
      // It was never taken: that holds from when it was recorded on, so that a count made since stays true.
      await moveStock(records, work, content, content.quantity, 'correction', { ...context, at });
      await settleAgain(records, { workOrderId: work.id, entryId: id, content }, null, context.now);
      if (content.serial !== undefined) await records.remove('installations', `in-${operationOf(id)}`);
      return null;
    },
    past: { keep: addedUp, at: (_part, { at, endedAt }) => endedAt ?? at, words: () => '' },
    cost: { group: 'material', amount: ({ cost }) => cost, isAllOfIt: false },
    tellsStore: ({ content: { belowZero } }) => (belowZero === undefined ? null : { is: 'belowZero', ...belowZero }),
    upgrades: [{ to: 5, change: withUnitPrice }],
  },
  removal: {
    ...plainEntry,
    since: 11,
    cells: noCells,
    withdraw: (records, work, { content }, context) => putInAgain(records, work, content, context).then(() => null),
  },
  // What was planned wrongly is planned anew: it changes nothing that is true.
  kit: { ...plainEntry, since: 16, cells: noCells },
};

function addedUp(entries: readonly EntryOf<'part'>[]): PastPart[] {
  const parts = new Map<PartId, Thousandths>();
  for (const { content } of entries) parts.set(content.partId, (parts.get(content.partId) ?? 0) + content.quantity);
  // What went back whole was not used.
  return [...parts].filter(([, quantity]) => quantity > 0).map(([partId, quantity]) => ({ partId, quantity }));
}

/** What one unit had cost, found from what all of it did. */
function withUnitPrice(content: Fields): Fields {
  const cost = content['cost'] as { readonly minor: number; readonly currency: string } | undefined;
  const quantity = Number(content['quantity']);
  const minor = quantity > 0 ? ((cost?.minor ?? 0) * 1000) / quantity : 0;
  return { ...content, unitPrice: { minor, currency: cost?.currency ?? 'EUR' } };
}

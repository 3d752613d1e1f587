import type { PartId } from '../../../kernel/ids';
import type { Thousandths } from '../../../kernel/quantity/quantity';
import type { Fields } from '../../../records/table';
import type { EntryOf } from '../../orders/work/entries';
import { moneyCells, noCells } from '../../orders/work/entry-cells';
import { plainEntry, type EntryKindsNamed } from '../../orders/work/entry-kinds';
import type { PartContent } from './part-content';
import type { KitContent } from './plan-part';
import type { RemovalContent } from './removal';

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
  interface PutBackKinds {
    part: true;
    removal: true;
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
    withdraw: 'putsBack',
    past: { keep: addedUp, at: (_part, { at, endedAt }) => endedAt ?? at, words: () => '' },
    cost: { group: 'material', amount: ({ cost }) => cost, isAllOfIt: false },
    tellsStore: ({ content: { belowZero } }) => (belowZero === undefined ? null : { is: 'belowZero', ...belowZero }),
    upgrades: [{ to: 5, change: withUnitPrice }],
  },
  removal: {
    ...plainEntry,
    since: 11,
    cells: noCells,
    withdraw: 'putsBack',
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

import { formatMoney, formatQuantity, parseQuantity } from '@oilcan/core/kernel';
import { piece } from '../../ui/piece';
import { amountOf, binName } from '../../words/amounts';
import type { DockItem } from '../views/dock-item';
import { inWords, type EntryViewsNamed } from '../views/entry-view';
import type { OperationViewsNamed } from '../views/operation-view';
import { mdiPackageVariantClosed } from '@mdi/js';

const entries: EntryViewsNamed<'part'> = {
  part: {
    ...inWords,
    group: 'parts',
    say: ({ content }, names, language) => {
      const part = names.part(content.partId);
      return {
        headline: `${amountOf(content.quantity, part)} ${part?.name ?? 'a part'}`,
        detail: `${part?.number ?? ''}, ${binName(names.bin(content.binId))} · ${formatMoney(content.cost, language)}`,
      };
    },
    amend: {
      label: 'Amount instead',
      lines: 1,
      typed: ({ quantity }) => formatQuantity(quantity),
      hint: 'Write an amount, such as 2 or 0.5.',
      operation: 'part.amend',
      ask: (on, _content, typed) => {
        const quantity = parseQuantity(typed);
        if (quantity === undefined) return null;
        return { args: { ...on, quantity }, said: `Now ${formatQuantity(quantity)}.` };
      },
    },
    past: {
      many: 'Parts',
      line: ({ partId, quantity }, names) => {
        const part = names.part(partId);
        return `${amountOf(quantity, part)} ${part?.name ?? partId}`;
      },
    },
  },
};

const operations: OperationViewsNamed<'part.use' | 'part.amend'> = {
  'part.use': {
    say: ({ partId, quantity }, { part }) => `${amountOf(quantity, part(partId))} ${part(partId)?.name ?? 'of a part'}`,
    fields: { quantity: 'Amount' },
  },
  'part.amend': { say: null, fields: { quantity: 'Amount' } },
};

const dock: readonly DockItem[] = [
  {
    name: 'part',
    word: 'Part',
    icon: mdiPackageVariantClosed,
    key: 'p',
    place: 'dock',
    countsAsWorking: true,
    Sheet: piece(() => import('./part-sheet').then((module) => module.PartSheet)),
  },
];

export const stockViews = { entries, operations, dock };

import { formatQuantity, parseQuantity } from '@oilcan/core/kernel';
import { lazyComponent } from '../../../ui/loading/lazy-component';
import { joined } from '../../../words/joined';
import { amountOf, binName } from '../../../words/amounts';
import type { DockItem } from '../../frame/views/dock-item';
import { inWords, type EntryViewsNamed } from '../../frame/views/entry-view';
import { byItsLabel, type OperationViewsNamed } from '../../frame/views/operation-view';
import { fateWords } from './words';
import { mdiPackageVariantClosed } from '@mdi/js';
import { AMOUNT_HINT } from '../../../forms/typed-words';

const fromDock: DockItem = {
  name: 'part',
  word: 'Part',
  icon: mdiPackageVariantClosed,
  key: 'p',
  place: 'dock',
  // What the job needs can be planned before the hazards are read; the sheet itself keeps what is taken until then.
  countsAsWorking: false,
  Sheet: lazyComponent(() => import('./part-sheet').then((module) => module.PartSheet)),
};

const entries: EntryViewsNamed<'part' | 'removal' | 'kit'> = {
  part: {
    ...inWords,
    group: 'parts',
    dock: fromDock,
    say: ({ content }, names, language) => {
      const part = names.part(content.partId);
      const to = names.person(content.issue?.to ?? '')?.name;
      const handedOut = content.issue === undefined ? '' : ` handed out${to === undefined ? '' : ` to ${to}`}`;
      const isBack = content.quantity < 0;
      const amount = `${amountOf(Math.abs(content.quantity), part)} ${part?.name ?? 'a part'}`;
      const bin = binName(names.bin(content.binId));
      const below =
        content.belowZero === undefined
          ? ''
          : ` · the bin stands at ${amountOf(content.belowZero.onHand, part)}: count it`;
      return {
        headline: isBack ? `${amount} put back` : `${amount}${handedOut}`,
        detail: [
          `${part?.number ?? ''}${content.serial === undefined ? '' : `, serial ${content.serial}`}`,
          `${isBack ? 'into ' : ''}${joined([bin, names.money(content.cost, language)])}${below}`,
        ].join(', '),
      };
    },
    amend: {
      label: 'Amount instead',
      lines: 1,
      typed: ({ quantity }) => formatQuantity(quantity),
      hint: AMOUNT_HINT,
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
  removal: {
    ...inWords,
    group: 'parts',
    dock: null,
    say: ({ content: { partId, serial, fate, binId } }, names) => ({
      headline: `${names.part(partId)?.name ?? 'A part'} came out`,
      detail: joined([
        serial === '' ? '' : `serial ${serial}`,
        binId === null ? fateWords[fate] : `Kept in ${binName(names.bin(binId))}`,
      ]),
    }),
  },
  kit: {
    ...inWords,
    group: 'parts',
    dock: null,
    say: ({ content: { partId, binId, before, after, reason } }, names) => {
      const part = names.part(partId);
      const name = part?.name ?? 'A part';
      const was = before === null ? '' : amountOf(before.quantity, { unit: before.unit ?? part?.unit ?? '' });
      return {
        headline:
          after === null
            ? `${name} is not needed`
            : `${name}: ${amountOf(after, part)} planned${was === '' ? '' : ` instead of ${was}`}`,
        detail: joined([
          after === null && was !== '' ? `${was} had been planned` : `from ${binName(names.bin(binId))}`,
          reason,
        ]),
      };
    },
  },
};

const operations: OperationViewsNamed<
  | 'part.plan'
  | 'part.leave-out'
  | 'part.use'
  | 'part.amend'
  | 'part.return'
  | 'part.take-out'
  | 'stock.count'
  | 'stock.receive'
> = {
  'part.use': {
    say: ({ partId, quantity }, { part }) => `${amountOf(quantity, part(partId))} ${part(partId)?.name ?? 'of a part'}`,
    fields: { quantity: 'Amount' },
  },
  'part.amend': { say: null, fields: { quantity: 'Amount' } },
  'part.return': {
    say: ({ partId, quantity }, { part }) =>
      `${amountOf(quantity, part(partId))} ${part(partId)?.name ?? 'of a part'} put back`,
    fields: { quantity: 'Amount' },
  },
  'stock.count': {
    say: ({ partId, quantity }, { part }) => `${amountOf(quantity, part(partId))} ${part(partId)?.name ?? ''} counted`,
    fields: { quantity: 'Counted' },
  },
  'stock.receive': {
    say: ({ partId, quantity }, { part }) => `${amountOf(quantity, part(partId))} ${part(partId)?.name ?? ''} came in`,
    fields: { quantity: 'Came in' },
  },
  'part.plan': {
    say: ({ partId, quantity }, { part }) =>
      `${amountOf(quantity, part(partId))} ${part(partId)?.name ?? 'of a part'} planned`,
    fields: { quantity: 'Amount' },
  },
  'part.leave-out': {
    say: ({ partId }, { part }) => `${part(partId)?.name ?? 'A part'} left out`,
    fields: { reason: 'Why it is not needed' },
  },
  'part.take-out': {
    ...byItsLabel,
    say: ({ comesOut }, { part }) => `${part(comesOut.partId)?.name ?? 'A part'} came out`,
  },
};

export const stockViews = { entries, operations };

import { parseMoney, typedMoney } from '@oilcan/core/kernel';
import { lazyComponent } from '../../../ui/loading/lazy-component';
import type { DockItem } from '../../frame/views/dock-item';
import type { EntryViewsNamed } from '../../frame/views/entry-view';
import type { OperationViewsNamed } from '../../frame/views/operation-view';
import { chargedTo } from './words';
import { ReceiptPicture } from './receipt-picture';
import { mdiReceiptTextOutline } from '@mdi/js';
import { MONEY_HINT } from '../../../forms/typed-words';

const fromDock: DockItem = {
  name: 'expense',
  word: 'Expense',
  icon: mdiReceiptTextOutline,
  key: 'e',
  place: 'costs',
  countsAsWorking: false,
  Sheet: lazyComponent(() => import('./expense-sheet').then((module) => module.ExpenseSheet)),
};

const entries: EntryViewsNamed<'expense'> = {
  expense: {
    group: 'costs',
    dock: fromDock,
    say: ({ content }, names, language) => ({
      headline: content.words,
      detail: `Expense ${names.money(content.amount, language)}${chargedTo(content.costCentre)}`,
    }),
    Picture: ReceiptPicture,
    AmendSheet: null,
    Actions: null,
    amend: {
      label: 'Amount instead',
      lines: 1,
      typed: ({ amount }) => typedMoney(amount),
      hint: MONEY_HINT,
      operation: 'expense.amend',
      ask: (on, { amount }, typed) => {
        const instead = parseMoney(typed, amount.currency);
        if (instead === undefined) return null;
        return { args: { ...on, minor: instead.minor }, said: `Now ${typedMoney(instead)}.` };
      },
    },
    past: { many: 'Expenses', line: ({ amount, words }, names) => `${words}: ${names.money(amount, 'en')}` },
  },
};

const operations: OperationViewsNamed<'expense.add' | 'expense.amend'> = {
  'expense.add': { say: ({ words }) => `Expense: ${words}`, fields: { words: 'What for' } },
  'expense.amend': { say: null, fields: {} },
};

export const expensesViews = { entries, operations };

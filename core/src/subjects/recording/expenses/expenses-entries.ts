import type { FileId } from '../../../kernel/ids';
import type { Money } from '../../../kernel/money/money';
import type { PictureType } from '../../plant/files/files';
import { moneyCells } from '../../orders/work/entry-cells';
import { plainEntry, type EntryKindsNamed, type EntryPicture } from '../../orders/work/entry-kinds';

/** A photo of what was given for the money. */
export interface Receipt {
  readonly fileId: FileId;
  readonly mediaType: PictureType;
  /** Size in pixels. */
  readonly width: number;
  readonly height: number;
}

/** The picture of what costs money and brought the paper of it. */
export function pictureOfReceipt(of: {
  readonly receipt: Receipt | null;
  readonly words: string;
}): EntryPicture | null {
  const { receipt, words } = of;
  if (receipt === null) return null;
  return { fileId: receipt.fileId, mediaType: receipt.mediaType, caption: `Paper of: ${words}`, isReceipt: true };
}

/** Money that somebody laid out for a job: a taxi, a night, a tool that was hired. */
export interface ExpenseContent {
  readonly kind: 'expense';
  readonly amount: Money;
  readonly words: string;
  readonly receipt: Receipt | null;
  /** Where it is charged; absent for that of the machine. */
  readonly costCentre?: string;
}

/** What a past keeps of an expense. */
export type PastExpense = Pick<ExpenseContent, 'amount' | 'words'>;

declare module '../../orders/work/entries' {
  interface EntryContents {
    expense: ExpenseContent;
  }
}

declare module '../../orders/work/entry-kinds' {
  interface PastKept {
    expense: PastExpense;
  }
}

export const expensesEntries: EntryKindsNamed<'expense'> = {
  expense: {
    ...plainEntry,
    since: 7,
    file: ({ receipt }) => receipt?.fileId ?? null,
    picture: pictureOfReceipt,
    cells: ({ words, amount }) => ({ text: words, ...moneyCells(amount) }),
    amendedBy: 'expense.amend',
    withdraw: 'marks',
    past: {
      keep: (entries) => entries.map(({ content: { amount, words } }) => ({ amount, words })),
      at: (_expense, { at, endedAt }) => endedAt ?? at,
      words: ({ words }) => words,
    },
    cost: { group: 'other', amount: ({ amount }) => amount, isAllOfIt: true },
    notificationText: 'an expense',
  },
};

import type { Money } from '../../../kernel/money/money';
import type { Instant } from '../../../kernel/time/instant';
import { pictureOfReceipt, type Receipt } from '../expenses/expenses-entries';
import { moneyCells } from '../../orders/work/entry-cells';
import { plainEntry, type EntryKindsNamed } from '../../orders/work/entry-kinds';

/** A tool or machine that costs by the hour: a crane, a platform, a compressor. */
export interface ToolContent {
  readonly kind: 'tool';
  readonly words: string;
  readonly startedAt: Instant;
  /** Whole minutes. */
  readonly minutes: number;
  readonly ratePerHour: Money;
  readonly cost: Money;
  readonly receipt: Receipt | null;
  /** Where it is charged; absent for that of the machine. */
  readonly costCentre?: string;
}

declare module '../../orders/work/entries' {
  interface EntryContents {
    tool: ToolContent;
  }
}

export const toolsEntries: EntryKindsNamed<'tool'> = {
  tool: {
    ...plainEntry,
    since: 11,
    file: ({ receipt }) => receipt?.fileId ?? null,
    picture: pictureOfReceipt,
    cells: ({ startedAt, minutes, words, cost }) => ({
      from: startedAt,
      minutes,
      text: words,
      ...moneyCells(cost),
    }),
    amendedBy: 'tool.amend',
    withdraw: 'marks',
    cost: { group: 'other', amount: ({ cost }) => cost, isAllOfIt: true },
    notificationText: 'a tool',
  },
};

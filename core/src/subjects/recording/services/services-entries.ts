import type { Money } from '../../../kernel/money/money';
import { pictureOfReceipt, type Receipt } from '../expenses/expenses-entries';
import { moneyCells } from '../../orders/work/entry-cells';
import { plainEntry, type EntryKindsNamed } from '../../orders/work/entry-kinds';

/** Work of somebody from outside that was bought for the job. */
export interface ServiceContent {
  readonly kind: 'service';
  readonly words: string;
  /** Who did it; may be empty. */
  readonly supplier: string;
  /** What was agreed for all of it. */
  readonly agreed: Money;
  /** How much of it has arrived, 1 to 100. */
  readonly arrivedPercent: number;
  readonly cost: Money;
  readonly receipt: Receipt | null;
  /** Where it is charged; absent for that of the machine. */
  readonly costCentre?: string;
}

declare module '../../orders/work/entries' {
  interface EntryContents {
    service: ServiceContent;
  }
}

export const servicesEntries: EntryKindsNamed<'service'> = {
  service: {
    ...plainEntry,
    since: 11,
    file: ({ receipt }) => receipt?.fileId ?? null,
    picture: pictureOfReceipt,
    cells: ({ words, cost }) => ({ text: words, ...moneyCells(cost) }),
    amendedBy: 'service.amend',
    withdraw: 'marks',
    cost: { group: 'boughtIn', amount: ({ cost }) => cost, isAllOfIt: true },
    notificationText: 'an outside service',
  },
};

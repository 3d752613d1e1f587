import { typedMoney } from '../../../kernel/money/parse-money';
import type { Money } from '../../../kernel/money/money';
import type { entryColumns } from './entry-columns';

type Column = (typeof entryColumns)[number];

/** A line of a table, by column: exact amounts with a decimal point, times in UTC (ISO 8601). */
export type Cells = Partial<Record<Column, string | number>>;

/** What the ids in an entry stand for; undefined for what whoever asks does not have. */
export interface NamedRows {
  readonly person: (id: string) => { readonly name: string } | undefined;
  readonly part: (id: string) => { readonly number: string; readonly unit: string } | undefined;
  readonly point: (id: string) => { readonly name: string; readonly unit: string } | undefined;
}

/** Of kinds of which their time and their kind are all that a line can say; the document of the record has the rest. */
export const noCells = (): Cells => ({});

/** An amount of money, empty for one that may not be seen. */
export const moneyCells = (amount: Money | null): Cells =>
  amount === null ? {} : { amount: typedMoney(amount), currency: amount.currency };

import type { Thousandths } from '../../../kernel/quantity/quantity';

/**
 * One thing that a line of shorthand says. docs/SHORTHAND.md has the language.
 *
 * - `time`: time of the person, ending now,
 * - `part`, `fault`, `reading`: with the words by which the part, the fault or the measuring point is found,
 * - `stoppage`: of the machine, ending now,
 * - `spent`: money laid out, as it is typed,
 * - `unread`: what cannot be read, and why.
 */
export type Phrase =
  | { readonly is: 'time'; readonly minutes: number; readonly timeType: 'regular' | 'overtime' | 'travel' }
  | { readonly is: 'part'; readonly quantity: Thousandths; readonly words: string }
  | { readonly is: 'fault'; readonly words: string }
  | { readonly is: 'reading'; readonly words: string; readonly value: number; readonly unit: string | null }
  | { readonly is: 'stoppage'; readonly minutes: number; readonly extent: 'full' | 'reduced' }
  | { readonly is: 'note'; readonly text: string }
  | { readonly is: 'spent'; readonly amount: string; readonly words: string }
  | { readonly is: 'none'; readonly of: 'part' | 'stoppage' | 'time' }
  | { readonly is: 'unread'; readonly text: string; readonly because: Unread };

/**
 * Why something cannot be read: it begins nothing that is known, or a part without its number, a fault without words, a reading
 * without its value, a stoppage without how long, an expense without what for, an empty note; or the line is too long.
 */
export type Unread =
  | 'unknown'
  | 'partMissing'
  | 'faultMissing'
  | 'valueMissing'
  | 'howLongMissing'
  | 'amountMissing'
  | 'noteMissing'
  | 'tooLong';

/** A phrase, and where it stands in the line. */
export interface PlacedPhrase {
  readonly phrase: Phrase;
  readonly from: number;
  readonly to: number;
}

/** The longest line that is read. */
export const LONGEST_SHORTHAND = 1_000;

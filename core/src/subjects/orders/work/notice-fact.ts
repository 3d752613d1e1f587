import type { Thousandths } from '../../../kernel/quantity/quantity';
import type { Instant } from '../../../kernel/time/instant';
import type { EntryKind } from './entries';
import type { WorkState } from './work-order';

/** What can become of a report. */
export type ReportBecame =
  'new' | 'said' | 'asked' | 'look' | 'confirmed' | 'taken' | 'joined' | 'declined' | 'solved' | 'reopened' | 'dropped';

/** What can become of something that was asked of a store. */
export type RequestBecame = 'asked' | 'changed' | 'ready' | 'along' | 'handedOut' | 'declined' | 'withdrawn';

/** One thing that a notice tells of. Whoever shows it has the sentence. */
export type NoticeFact =
  | { readonly is: 'state'; readonly state: WorkState }
  /** It is new, on a machine that somebody follows. */
  | { readonly is: 'raised' }
  | { readonly is: 'hazardAdded' }
  | { readonly is: 'dueChanged' }
  | { readonly is: 'recorded'; readonly kind: EntryKind }
  /** Why it was handed back, as its lead wrote it. */
  | { readonly is: 'reason'; readonly reason: string }
  | {
      readonly is: 'short';
      readonly part: string;
      readonly onHand: Thousandths;
      readonly needed: Thousandths;
      readonly unit: string;
      /** How many jobs need it together. */
      readonly jobs: number;
    }
  /** More was taken out of a bin than it held by the books: it is to be counted. */
  | {
      readonly is: 'belowZero';
      readonly part: string;
      readonly bin: string;
      readonly onHand: Thousandths;
      readonly unit: string;
    }
  /** It was finished without this person's time. */
  | { readonly is: 'timeMissing' }
  /** What became of a report, with words of whoever did it or the number of the work on it. */
  | { readonly is: 'report'; readonly became: ReportBecame; readonly words: string }
  /** Somebody was hurt, or nearly; something was damaged, or spilled or released. */
  | { readonly is: 'incident'; readonly kind: 'injury' | 'nearMiss' | 'damage' | 'environment' }
  /** What became of something that was asked of a store: how much of it, where it lies or why not. */
  | {
      readonly is: 'request';
      readonly became: RequestBecame;
      readonly quantity: Thousandths;
      readonly unit: string;
      readonly words: string;
    }
  /** Steps that are somebody's own now. */
  | { readonly is: 'share'; readonly steps: number }
  | { readonly is: 'clockStopped'; readonly at: Instant; readonly by: string; readonly reason: string }
  | { readonly is: 'lockOff'; readonly device: string; readonly by: string; readonly reason: string };

import type { Thousandths } from '../../kernel/quantity/quantity';
import type { Instant } from '../../kernel/time/instant';
import type { EntryKind } from './entries';
import type { WorkState } from './work-order';

/** One thing that a notice tells of. Whoever shows it has the sentence. */
export type NoticeFact =
  | { readonly is: 'state'; readonly state: WorkState }
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
  /** Steps that are somebody's own now. */
  | { readonly is: 'share'; readonly steps: number }
  | { readonly is: 'clockStopped'; readonly at: Instant; readonly by: string; readonly reason: string }
  | { readonly is: 'lockOff'; readonly device: string; readonly by: string; readonly reason: string };

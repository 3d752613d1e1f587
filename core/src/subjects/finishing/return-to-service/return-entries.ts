import { signedBy, type Signature } from '../../../kernel/signature/signature';
import { plainEntry, type EntryKindsNamed } from '../../orders/work/entry-kinds';
import type { Seal } from './seal';

/** The machine is given to maintenance: by whom, how it is, and where. */
export interface GivenContent {
  readonly kind: 'given';
  /** Who gives it: somebody of those who run it, who need not be known here. */
  readonly from: string;
  readonly condition: string;
  /** Where it is; empty for where it always is. */
  readonly where: string;
}

/** It goes back to those who run it. */
export interface ReturnedContent {
  readonly kind: 'returned';
  readonly condition: string;
  /** What they take it with; empty for nothing. */
  readonly reservations: string;
  /** Of who takes it. */
  readonly signature: Signature;
  /** What was signed for. */
  readonly seal: Seal;
}

declare module '../../orders/work/entries' {
  interface EntryContents {
    given: GivenContent;
    returned: ReturnedContent;
  }
}

export const returnEntries: EntryKindsNamed<'given' | 'returned'> = {
  given: {
    ...plainEntry,
    since: 12,
    cells: ({ from, condition }) => ({ person: from, text: condition }),
    withdraw: 'marks',
    notificationText: 'that the machine was given to maintenance',
  },
  returned: {
    ...plainEntry,
    since: 12,
    cells: ({ signature, condition }) => ({ person: signedBy(signature), text: condition }),
    withdraw: 'marks',
    notificationText: 'that the machine went back into service',
  },
};

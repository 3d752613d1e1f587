import type { StopId } from '../../../kernel/ids';
import { plainEntry, type EntryKindsNamed } from '../../orders/work/entry-kinds';

/** What became of a stop of a round: put off to the end, left out, or taken up again. */
export interface StopContent {
  readonly kind: 'stop';
  readonly stopId: StopId;
  readonly act: 'putOff' | 'leftOut' | 'takenUp';
  /** Why it was left out; empty otherwise. */
  readonly reason: string;
}

declare module '../../orders/work/entries' {
  interface EntryContents {
    stop: StopContent;
  }
}

export const roundsEntries: EntryKindsNamed<'stop'> = {
  stop: { ...plainEntry, since: 9, cells: ({ act, reason }) => ({ text: reason === '' ? act : `${act}: ${reason}` }) },
};

import type { Instant } from '../../kernel/time/instant';
import { plainEntry, type EntryKindsNamed } from '../work/entry-kinds';

/** A time in which the machine stood still or ran reduced; without an end it still does. */
export interface StoppageContent {
  readonly kind: 'stoppage';
  readonly from: Instant;
  readonly to: Instant | null;
  readonly extent: 'full' | 'reduced';
  readonly isPlanned: boolean;
}

/** What a past keeps of a stoppage. */
export type PastStoppage = Omit<StoppageContent, 'kind'>;

declare module '../work/entries' {
  interface EntryContents {
    stoppage: StoppageContent;
  }
}

declare module '../work/entry-kinds' {
  interface PastKept {
    stoppage: PastStoppage;
  }
}

export const stoppagesEntries: EntryKindsNamed<'stoppage'> = {
  stoppage: {
    ...plainEntry,
    past: {
      keep: (entries) => entries.map(({ content: { kind: _, ...stoppage } }) => stoppage),
      at: ({ from }) => from,
      words: () => '',
    },
    told: 'a stoppage',
  },
};

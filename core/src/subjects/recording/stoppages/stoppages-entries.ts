import type { Instant } from '../../../kernel/time/instant';
import { plainEntry, type EntryKindsNamed } from '../../orders/work/entry-kinds';

export const extents = ['full', 'reduced'] as const;
/** Whether it stood still or ran reduced. */
export type Extent = (typeof extents)[number];

/** A time in which the machine stood still or ran reduced; without an end it still does. */
export interface StoppageContent {
  readonly kind: 'stoppage';
  readonly from: Instant;
  readonly to: Instant | null;
  readonly extent: Extent;
  /** How much less it does while it runs reduced, in percent; absent where it stands still, and where nobody said. */
  readonly lostPercent?: number;
  readonly isPlanned: boolean;
}

/** What a past keeps of a stoppage. */
export type PastStoppage = Omit<StoppageContent, 'kind'>;

declare module '../../orders/work/entries' {
  interface EntryContents {
    stoppage: StoppageContent;
  }
}

declare module '../../orders/work/entry-kinds' {
  interface PastKept {
    stoppage: PastStoppage;
  }
  interface PutBackKinds {
    stoppage: true;
  }
}

export const stoppagesEntries: EntryKindsNamed<'stoppage'> = {
  stoppage: {
    ...plainEntry,
    cells: ({ from, to, extent }) => ({ from, to: to ?? '', text: extent }),
    amendedBy: 'stoppage.amend',
    withdraw: 'putsBack',
    past: {
      keep: (entries) => entries.map(({ content: { kind: _, ...stoppage } }) => stoppage),
      at: ({ from }) => from,
      words: () => '',
    },
    notificationText: 'a stoppage',
  },
};

import type { PointId } from '../../../kernel/ids';
import type { Instant } from '../../../kernel/time/instant';
import { plainEntry, type EntryKindsNamed } from '../../orders/work/entry-kinds';
import type { ReadingLevel } from './limits';
import type { ReadingContent } from './reading';

/** What a past keeps of a reading. */
export interface PastReading {
  readonly pointId: PointId;
  readonly at: Instant;
  readonly value: number;
  readonly level: ReadingLevel;
}

declare module '../../orders/work/entries' {
  interface EntryContents {
    reading: ReadingContent;
  }
}

declare module '../../orders/work/entry-kinds' {
  interface PastKept {
    reading: PastReading;
  }
  interface PutBackKinds {
    reading: true;
  }
}

export const readingsEntries: EntryKindsNamed<'reading'> = {
  reading: {
    ...plainEntry,
    cells: ({ pointId, value, level }, { point }) => ({
      point: point(pointId)?.name ?? pointId,
      value,
      unit: point(pointId)?.unit ?? '',
      text: level,
    }),
    withdraw: 'putsBack',
    past: {
      keep: (entries) => entries.map(({ at, content: { pointId, value, level } }) => ({ pointId, at, value, level })),
      at: ({ at }) => at,
      words: () => '',
    },
  },
};

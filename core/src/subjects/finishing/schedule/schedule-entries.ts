import type { Instant } from '../../../kernel/time/instant';
import type { LocalDay } from '../../../kernel/time/local-day';
import { plainEntry, type EntryKindsNamed } from '../../orders/work/entry-kinds';
import type { Urgency } from '../../orders/work/work-order';

/** What of when a work order is done was changed, from what to what. */
export type ScheduleChange =
  | { readonly of: 'urgency'; readonly from: Urgency; readonly to: Urgency }
  | { readonly of: 'due'; readonly from: Instant | null; readonly to: Instant | null }
  | { readonly of: 'planned'; readonly from: LocalDay | null; readonly to: LocalDay | null }
  /** `times`: how often it was put off with this. */
  | { readonly of: 'putOff'; readonly until: LocalDay; readonly times: number }
  | { readonly of: 'takenUp'; readonly until: LocalDay };

/** Somebody changed when it is done, and why. */
export interface ScheduleContent {
  readonly kind: 'schedule';
  readonly change: ScheduleChange;
  /** Empty where none was needed. */
  readonly reason: string;
}

declare module '../../orders/work/entries' {
  interface EntryContents {
    schedule: ScheduleContent;
  }
}

export const scheduleEntries: EntryKindsNamed<'schedule'> = {
  schedule: {
    ...plainEntry,
    since: 11,
    cells: ({ reason }) => ({ text: reason }),
    notificationText: 'a change of when it is done',
  },
};

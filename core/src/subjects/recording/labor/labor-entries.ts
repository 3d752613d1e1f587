import type { PersonId, StepId } from '../../../kernel/ids';
import type { Money } from '../../../kernel/money/money';
import { addMinutes, type Instant } from '../../../kernel/time/instant';
import { moneyCells } from '../../orders/work/entry-cells';
import { plainEntry, type EntryKindsNamed } from '../../orders/work/entry-kinds';

export const timeTypes = ['regular', 'overtime', 'travel'] as const;
export type TimeType = (typeof timeTypes)[number];

/** What somebody's time was paid by when it was recorded. */
export interface LaborRate {
  /** Regular rate in the smallest currency unit an hour; may be a fraction of it. */
  readonly minorPerHour: number;
  /** Overtime is paid at this many percent of it. */
  readonly overtimePercent: number;
  /** ISO 4217. */
  readonly currency: string;
}

/**
 * Somebody's time. Its rate and cost are fixed when it is recorded, so that neither a later rate nor an amendment rewrites
 * the past. Both are null for whoever may not see what people cost, and on a phone that does not carry the rates.
 */
export interface LaborContent {
  readonly kind: 'labor';
  readonly personId: PersonId;
  readonly startedAt: Instant;
  readonly minutes: number;
  readonly timeType: TimeType;
  readonly rate: LaborRate | null;
  readonly cost: Money | null;
  /** The step that it was spent on; absent where it was spent on the whole job. */
  readonly stepId?: StepId;
  /** By which trade it was booked; absent from what was recorded before that was kept. */
  readonly tradeId?: string;
  /** Why somebody else stopped this person's clock; absent otherwise. */
  readonly stoppedBecause?: string;
}

declare module '../../orders/work/entries' {
  interface EntryContents {
    labor: LaborContent;
  }
}

export const laborEntries: EntryKindsNamed<'labor'> = {
  labor: {
    ...plainEntry,
    cells: ({ personId, startedAt, minutes, timeType, cost }, { person }) => ({
      person: person(personId)?.name ?? personId,
      from: startedAt,
      minutes,
      text: timeType,
      ...moneyCells(cost),
    }),
    shown: (content, { mayKnow }) => (mayKnow.has('laborCost') ? content : { ...content, rate: null, cost: null }),
    amendedBy: 'labor.amend',
    withdraw: 'marks',
    cost: { group: 'time', amount: ({ cost }) => cost, isAllOfIt: false },
    inNameOf: ({ by, content }, _work, nameOf) => {
      if (content.stoppedBecause === undefined) return null;
      const at = addMinutes(content.startedAt, content.minutes);
      const fact = { is: 'clockStopped', at, by: nameOf(by), reason: content.stoppedBecause } as const;
      return { personId: content.personId, fact };
    },
    upgrades: [{ to: 5, change: (content) => ({ ...content, rate: null, cost: null }) }],
  },
};

import type { WorkKind } from '../work/work-order';

/** What must be there before a work order of a kind can be finished. */
export interface OwedRules {
  /** Every step is answered or skipped. */
  readonly steps: boolean;
  /** Somebody's time is recorded. */
  readonly time: boolean;
}

export interface Craft {
  readonly id: string;
  readonly name: string;
  /** Regular rate in the smallest currency unit an hour. */
  readonly rateMinorPerHour: number;
}

/** The one settings record: what is the same for everybody. */
export interface Settings {
  readonly id: 'settings';
  readonly organization: string;
  /** IANA time zone of the sites. */
  readonly zone: string;
  /** BCP 47 language of the interface. */
  readonly language: string;
  /** ISO 4217 currency of all money. */
  readonly currency: string;
  readonly units: 'metric' | 'imperial';
  /** Minutes of work in one shift of one person. */
  readonly shiftMinutes: number;
  readonly crafts: readonly Craft[];
  /** Overtime is paid at this many percent of the regular rate (150 is one and a half times). */
  readonly overtimePercent: number;
  readonly owed: Readonly<Record<WorkKind, OwedRules>>;
}

export const SETTINGS_ID = 'settings';

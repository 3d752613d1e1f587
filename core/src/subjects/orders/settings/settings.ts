import type { SiteId } from '../../../kernel/ids';
import { hasRole, type Role } from '../../../operations/actor';
import type { Viewer } from '../../../records/table';
import type { Person, Site } from '../../plant/people/people';
import type { ReviewLimits } from './review-limits';
import type { Demands } from '../work/demands';
import type { WorkKind } from '../work/work-order';

/** What must be there before a work order of a kind can be finished. */
export interface OwedRules {
  /** Every step is answered or skipped. */
  readonly steps: boolean;
  /** Somebody's time is recorded. */
  readonly time: boolean;
  /** Every fault says its cause and what was done; absent where it need not. */
  readonly codes?: boolean;
}

/** What somebody has learned, by which work is handed out and time is priced. */
export interface Trade {
  readonly id: string;
  readonly name: string;
  /** People are paid by it, and no work is of it: lead, store. Absent for what somebody has learned. */
  readonly isOffice?: true;
}

/** What an hour of a trade costs on a site, in the currency of that site. Only who may see what people cost has it. */
export interface Rate {
  /** `siteId@tradeId`, or `siteId@tradeId@levelId`. */
  readonly id: string;
  readonly siteId: SiteId;
  readonly tradeId: string;
  /** Of people on this level of the trade; absent for everybody else in it. */
  readonly levelId?: string;
  /** Regular rate in the smallest currency unit an hour; may be a fraction of it. */
  readonly minorPerHour: number;
  /** Overtime is paid at this many percent of it (150 is one and a half times). */
  readonly overtimePercent: number;
}

export function rateId(siteId: SiteId, tradeId: string, levelId?: string): string {
  return levelId === undefined ? `${siteId}@${tradeId}` : `${siteId}@${tradeId}@${levelId}`;
}

/** Where costs are charged. */
export interface CostCentre {
  readonly id: string;
  readonly name: string;
}

/** The one settings record: what is the same for everybody. */
export interface Settings {
  readonly id: 'settings';
  readonly organization: string;
  /** IANA time zone of the sites that have none of their own. */
  readonly zone: string;
  /** BCP 47 language of the interface. */
  readonly language: string;
  /** ISO 4217 currency of part prices, and of the sites that have none of their own. */
  readonly currency: string;
  readonly units: 'metric' | 'imperial';
  /** Minutes of work in one shift of one person. */
  readonly shiftMinutes: number;
  readonly trades: readonly Trade[];
  /** What can fail on each class of equipment: its parts, and their failure modes (ISO 14224); absent for what Oilcan brings. */
  readonly faultCatalogue?: Readonly<Record<string, Readonly<Record<string, readonly string[]>>>>;
  /** Absent where costs are not charged anywhere. */
  readonly costCentres?: readonly CostCentre[];
  /** Who sees what people's time costs: nobody but persons with one of these roles. */
  readonly laborCostSeenBy: readonly Role[];
  /** What holds up finishing; where `demands` are chosen, it says the same for phones of before. */
  readonly owed: Readonly<Record<WorkKind, OwedRules>>;
  /** From when on finished work is called unusual; absent where nobody chose. */
  readonly review?: ReviewLimits;
  /** What finishing waits for and what is asked for, by kind of work; absent where nobody chose. */
  readonly demands?: Readonly<Partial<Record<WorkKind, Demands>>>;
}

export const SETTINGS_ID = 'settings';

/** A person as somebody who looks; without settings nothing that is confidential is shown. */
export function viewerOf(
  person: Pick<Person, 'id' | 'roles' | 'siteIds'>,
  settings: Pick<Settings, 'laborCostSeenBy'> | undefined,
): Viewer {
  const seesCost = settings !== undefined && hasRole(person, settings.laborCostSeenBy);
  return { id: person.id, siteIds: person.siteIds, mayKnow: new Set(seesCost ? ['laborCost'] : []) };
}

/** The trades that work can be of. */
export function tradesOfWork({ trades }: Pick<Settings, 'trades'>): readonly Trade[] {
  return trades.filter(({ isOffice }) => isOffice !== true);
}

/** The settings as they hold on a site: with its own time zone and currency where it has them. */
export function settingsAt(settings: Settings, site: Site | undefined): Settings {
  return {
    ...settings,
    zone: site?.zone ?? settings.zone,
    currency: site?.currency ?? settings.currency,
  };
}

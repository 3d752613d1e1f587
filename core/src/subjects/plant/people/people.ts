import type { CrewId, PersonId, SiteId } from '../../../kernel/ids';
import type { Instant } from '../../../kernel/time/instant';
import type { WeeklyHours } from '../../../kernel/time/operating-hours';
import { hasRole, type Actor } from '../../../operations/actor';

/** Somebody who works here. What signing in needs is not part of it and never leaves the server. */
export interface Person extends Actor {
  readonly name: string;
  /** A trade of the settings, which sets the rate of this person's time. */
  readonly tradeId: string;
  /** How they are reached at work: a telephone number or an address for mail; absent where nobody said. */
  readonly reach?: string;
  /** A level of that trade with a rate of its own, such as `senior`; absent for none. */
  readonly levelId?: string;
  /** When they left: from then on they have no account and no role, and their name stays with what they did; absent while they are here. */
  readonly leftAt?: Instant;
}

/** Whether somebody has anything to do here: without a site or a role nobody sees anything. */
export function isHere({ siteIds, roles, leftAt }: Pick<Person, 'siteIds' | 'roles' | 'leftAt'>): boolean {
  return leftAt === undefined && siteIds.length > 0 && roles.length > 0;
}

/** People who share work, on the sites of that work. */
export interface Crew {
  readonly id: CrewId;
  readonly name: string;
  readonly siteIds: readonly SiteId[];
  readonly memberIds: readonly PersonId[];
}

export interface Site {
  readonly id: SiteId;
  readonly name: string;
  /** IANA time zone; null for that of the settings. */
  readonly zone: string | null;
  /** ISO 4217; null for the currency of the settings. */
  readonly currency: string | null;
  /** When its machines are meant to run; absent for round the clock. */
  readonly operatingHours?: readonly WeeklyHours[];
  /** Whether somebody else than who did the work must accept it; absent where a lead may accept their own. */
  readonly othersAccept?: boolean;
}

/** The leads of a site. */
export function leadsOf(people: readonly Person[], siteId: SiteId): PersonId[] {
  return people.filter((person) => hasRole(person, ['lead']) && person.siteIds.includes(siteId)).map(({ id }) => id);
}

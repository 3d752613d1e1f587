import type { CrewId, PersonId, SiteId } from '../ids/ids';

export const roles = ['technician', 'lead', 'storekeeper'] as const;
export type Role = (typeof roles)[number];

/** Somebody who works here. What signing in needs is not part of it and never leaves the server. */
export interface Person {
  readonly id: PersonId;
  readonly name: string;
  readonly roles: readonly Role[];
  readonly siteIds: readonly SiteId[];
  /** A trade of the settings, which sets the rate of this person's time. */
  readonly tradeId: string;
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
}

export function hasRole(person: Pick<Person, 'roles'>, wanted: readonly Role[]): boolean {
  return person.roles.some((role) => wanted.includes(role));
}

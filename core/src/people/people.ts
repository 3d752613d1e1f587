import type { CrewId, PersonId, SiteId } from '../ids/ids';

export const roles = ['technician', 'lead', 'storekeeper'] as const;
export type Role = (typeof roles)[number];

/** Somebody who works here. What signing in needs is not part of it and never leaves the server. */
export interface Person {
  readonly id: PersonId;
  readonly name: string;
  readonly roles: readonly Role[];
  readonly siteIds: readonly SiteId[];
  /** A craft of the settings, which sets the rate of this person's time. */
  readonly craftId: string;
}

/** People who share work. */
export interface Crew {
  readonly id: CrewId;
  readonly name: string;
  readonly memberIds: readonly PersonId[];
}

export interface Site {
  readonly id: SiteId;
  readonly name: string;
}

export function hasRole(person: Person, wanted: readonly Role[]): boolean {
  return person.roles.some((role) => wanted.includes(role));
}

import type { PersonId, SiteId } from '../kernel/ids';

export const roles = ['technician', 'lead', 'storekeeper'] as const;
export type Role = (typeof roles)[number];

/** Whoever does an operation, as far as it decides what they may do. */
export interface Actor {
  readonly id: PersonId;
  readonly roles: readonly Role[];
  readonly siteIds: readonly SiteId[];
  /** Whether they set what holds on all sites; absent for no. */
  readonly isResponsibleForAll?: boolean;
}

export function hasRole(person: Pick<Actor, 'roles'>, wanted: readonly Role[]): boolean {
  return person.roles.some((role) => wanted.includes(role));
}

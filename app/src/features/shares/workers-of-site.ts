import type { SiteId } from '@oilcan/core/kernel';
import { hasRole } from '@oilcan/core/operations';
import type { Person } from '@oilcan/core/people';

/** Those who can have work of a site, by name. */
export function workersOfSite(people: readonly Person[], siteId: SiteId): Person[] {
  return people
    .filter((person) => person.siteIds.includes(siteId) && hasRole(person, ['technician', 'lead']))
    .sort((a, b) => (a.name < b.name ? -1 : 1));
}

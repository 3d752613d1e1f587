import { hasRole, type Role } from '@oilcan/core/operations';
import type { Person } from '@oilcan/core/plant/people';
import { mdiClipboardTextOutline, mdiDesk, mdiFactory, mdiWarehouse } from '@mdi/js';

export interface AppPlace {
  readonly word: string;
  readonly icon: string;
  readonly href: '/shift' | '/plant' | '/stores' | '/desk';
  readonly roles: readonly Role[];
}

const all: readonly AppPlace[] = [
  { word: 'Shift', icon: mdiClipboardTextOutline, href: '/shift', roles: ['technician', 'lead'] },
  { word: 'Plant', icon: mdiFactory, href: '/plant', roles: ['technician', 'lead', 'storekeeper'] },
  { word: 'Stores', icon: mdiWarehouse, href: '/stores', roles: ['technician', 'lead', 'storekeeper'] },
  { word: 'Desk', icon: mdiDesk, href: '/desk', roles: ['lead'] },
];

/** The places of the application that this person has. */
export function placesFor(person: Person): readonly AppPlace[] {
  return all.filter((place) => hasRole(person, place.roles));
}

/** Where a person begins: a lead on the Desk, who keeps the stores and does no work on machines there, all others at their work. */
export function beginOf(person: Person): AppPlace['href'] {
  if (hasRole(person, ['lead'])) return '/desk';
  if (hasRole(person, ['storekeeper']) && !hasRole(person, ['technician'])) return '/stores';
  return placesFor(person)[0]?.href ?? '/plant';
}

/** The word of a place by its address; undefined for what is no place of the application. */
export function placeWord(address: string): string | undefined {
  return all.find(({ href }) => href === address)?.word;
}

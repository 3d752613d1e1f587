import { hasRole, type Role } from '@oilcan/core/operations';
import type { Person } from '@oilcan/core/people';
import type { IconName } from '../../ui/icon-paths';

export interface AppPlace {
  readonly word: string;
  readonly icon: IconName;
  readonly href: '/shift' | '/plant' | '/stores' | '/desk';
  readonly roles: readonly Role[];
}

const all: readonly AppPlace[] = [
  { word: 'Shift', icon: 'shift', href: '/shift', roles: ['technician', 'lead'] },
  { word: 'Plant', icon: 'plant', href: '/plant', roles: ['technician', 'lead', 'storekeeper'] },
  { word: 'Stores', icon: 'stores', href: '/stores', roles: ['technician', 'lead', 'storekeeper'] },
  { word: 'Desk', icon: 'desk', href: '/desk', roles: ['lead'] },
];

/** The places of the application that this person has. */
export function placesFor(person: Person): readonly AppPlace[] {
  return all.filter((place) => hasRole(person, place.roles));
}

/** The word of a place by its address; undefined for what is no place of the application. */
export function placeWord(address: string): string | undefined {
  return all.find(({ href }) => href === address)?.word;
}

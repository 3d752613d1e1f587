import type { AssetId, PlaceId, SiteId } from '../../../kernel/ids';
import type { Asset, Place } from './plant';

/** Somebody to call about a machine, a place or a whole site: a control room, a rescue service, a maker. */
export interface Contact {
  readonly id: string;
  readonly siteId: SiteId;
  readonly name: string;
  /** When they are called, such as “before the rope moves”. */
  readonly about: string;
  /** As it is dialled, with blanks to read it by: `+43 5555 0112`. */
  readonly phone: string;
  readonly assetId: AssetId | null;
  readonly placeId: PlaceId | null;
}

interface Rows {
  readonly contacts: readonly Contact[];
  readonly assetOf: (id: AssetId) => Asset | undefined;
  readonly placeOf: (id: PlaceId) => Place | undefined;
}

/**
 * Whom to call about a machine: first those of the machine and of what it is part of, then those of its place and of what
 * that lies in, then those of the whole site.
 */
export function contactsOf(asset: Asset, { contacts, assetOf, placeOf }: Rows): Contact[] {
  const assets = chain(asset.id, (id) => assetOf(id)?.parentId ?? null);
  const places = chain(asset.placeId, (id) => placeOf(id)?.parentId ?? null);
  const distance = (contact: Contact): number => {
    if (contact.siteId !== asset.siteId) return -1;
    if (contact.assetId !== null) return assets.indexOf(contact.assetId);
    if (contact.placeId === null) return assets.length + places.length;
    const at = places.indexOf(contact.placeId);
    return at < 0 ? at : assets.length + at;
  };
  return contacts
    .map((contact) => ({ contact, far: distance(contact) }))
    .filter(({ far }) => far >= 0)
    .sort((a, b) => a.far - b.far || (a.contact.name < b.contact.name ? -1 : 1))
    .map(({ contact }) => contact);
}

/** From one to what it belongs to, and on; a ring ends where it began. */
function chain<Id extends string>(first: Id, next: (id: Id) => Id | null): Id[] {
  const ids: Id[] = [];
  for (let id: Id | null = first; id !== null && !ids.includes(id); id = next(id)) ids.push(id);
  return ids;
}

/** What a phone dials: the number without what it is read by. */
export function dialled(phone: string): string {
  return phone.replace(/[^\d+*#]/g, '');
}

import type { SiteId } from '@oilcan/core/kernel';
import type { Asset, Contact } from '@oilcan/core/plant/plant';
import type { Sector } from './mountain';
import { lifts, snow } from './people';

/** Whom to call: about a machine, by the key that it is known by, or about all of a site. */
interface ContactPlan {
  readonly site: SiteId;
  readonly name: string;
  readonly about: string;
  readonly phone: string;
  readonly asset?: string;
}

/** Of the numbers that Ofcom keeps for stories (01632 960000 to 960999; from memory). */
const plans: readonly ContactPlan[] = [
  { site: lifts, name: 'Lark control room', about: 'Before the rope moves', phone: '+44 1632 960 112', asset: 'lark' },
  {
    site: lifts,
    name: 'Brenner Getriebe, service',
    about: 'Gearbox, day and night',
    phone: '+44 1632 960 371',
    asset: 'lark-gearbox',
  },
  { site: lifts, name: 'Rescue', about: 'Accident on the mountain', phone: '+44 1632 960 144' },
  { site: snow, name: 'Pump house', about: 'Before pressure goes onto a line', phone: '+44 1632 960 118' },
  { site: snow, name: 'Rescue', about: 'Accident on the mountain', phone: '+44 1632 960 144' },
];

/** The contacts of a sector; those of a whole site come with the first. */
export function contactsOfSector(sector: Sector, assets: ReadonlyMap<string, Asset>): Contact[] {
  return plans.flatMap(({ site, name, about, phone, asset }, index) => {
    if (asset === undefined && sector.number > 1) return [];
    const assetId = asset === undefined ? null : (assets.get(asset)?.id ?? null);
    const id = sector.idOf(`contact-${index + 1}`);
    return [{ id, siteId: site, name: sector.named(name), about, phone, assetId, placeId: null }];
  });
}

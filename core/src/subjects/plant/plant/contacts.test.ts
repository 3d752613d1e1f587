import { asId, type AssetId, type PlaceId } from '../../../kernel/ids';
import { anAsset, otherSite, site } from '../../../testing/builders';
import { contactsOf, dialled, type Contact } from './contacts';
import type { Place } from './plant';

const [drive, gearbox] = [asId<AssetId>('drive'), asId<AssetId>('gearbox')];
const [mountain, hall] = [asId<PlaceId>('mountain'), asId<PlaceId>('hall')];
const assets = [
  anAsset({ id: drive, placeId: hall, parentId: null }),
  anAsset({ id: gearbox, placeId: hall, parentId: drive }),
];
const places: readonly Place[] = [
  { id: mountain, siteId: site, parentId: null, name: 'Mountain' },
  { id: hall, siteId: site, parentId: mountain, name: 'Hall' },
];
const contact = (id: string, given: Partial<Contact> = {}): Contact => ({
  id,
  siteId: site,
  name: id,
  about: '',
  phone: '1',
  assetId: null,
  placeId: null,
  ...given,
});
const namesFor = (contacts: readonly Contact[], assetId = gearbox): string[] => {
  const asset = assets.find(({ id }) => id === assetId) ?? anAsset();
  return contactsOf(asset, {
    contacts,
    assetOf: (id) => assets.find((each) => each.id === id),
    placeOf: (id) => places.find((each) => each.id === id),
  }).map(({ name }) => name);
};

describe('whom to call about a machine', () => {
  const all = [
    contact('rescue'),
    contact('mountain', { placeId: mountain }),
    contact('hall', { placeId: hall }),
    contact('drive maker', { assetId: drive }),
    contact('gearbox maker', { assetId: gearbox }),
    contact('other machine', { assetId: asId<AssetId>('other') }),
    contact('other place', { placeId: asId<PlaceId>('other') }),
    contact('other site', { siteId: otherSite }),
  ];

  it('is the nearest first: its own, of what it is part of, of its place, of the site', () => {
    expect(namesFor(all)).toEqual(['gearbox maker', 'drive maker', 'hall', 'mountain', 'rescue']);
    expect(namesFor(all, drive)).toEqual(['drive maker', 'hall', 'mountain', 'rescue']);
  });

  it('ends where things are part of one another in a ring', () => {
    const ring = anAsset({ id: asId<AssetId>('ring'), parentId: asId<AssetId>('ring') });
    const found = contactsOf(ring, {
      contacts: [contact('ring maker', { assetId: ring.id })],
      assetOf: () => ring,
      placeOf: () => undefined,
    });
    expect(found).toHaveLength(1);
  });

  it('is dialled without what the number is read by', () => {
    expect([dialled('+43 (5555) 01-12'), dialled('*31# 112')]).toEqual(['+4355550112', '*31#112']);
  });
});

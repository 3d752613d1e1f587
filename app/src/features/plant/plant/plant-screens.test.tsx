import { fireEvent, screen } from '@testing-library/react';
import { addMinutes, asId, type AssetId, type PlaceId, type WorkOrderId } from '@oilcan/core/kernel';
import { anAsset, aPoint, assetId, aWorkOrder, lea, noon, partId, put, site, smallWorks } from '@oilcan/core/testing';
import { visited } from '../../../testing/router';
import { canPress, press, settled, type, words } from '../../../testing/hands';
import { TestWorks } from '../../../testing/works';
import { AssetScreen } from './asset-screen';
import { PlantScreen } from './plant-screen';

const hall = asId<PlaceId>('place');
const station = 'station';
const motor = anAsset({
  id: asId<AssetId>('motor'),
  parentId: assetId,
  tag: 'A2',
  name: 'Motor',
  condition: 'reduced',
});
const gearbox = anAsset({
  nameplate: {
    maker: 'Maker',
    model: 'M 7',
    serial: '1',
    inServiceSince: '2014-01-01',
    warrantyUntil: '2030-05-01',
    ratings: [{ label: 'Power', value: '30 kW' }],
  },
});
const reading = (value: number, minutes: number) => ({ value, at: addMinutes(noon, minutes) });
const rows = [
  ...smallWorks(),
  put('places', { id: station, siteId: site, parentId: null, name: 'Station' } as never),
  put('places', { id: hall, siteId: site, parentId: station, name: 'Drive hall' } as never),
  put('assets', gearbox),
  put('assets', motor),
  put('points', aPoint({ latest: [reading(70, -90), reading(74.5, -60), reading(79, -30)] })),
  put(
    'workOrders',
    aWorkOrder({ id: asId<WorkOrderId>('w-2'), number: 'W-2', title: 'Oil change', kind: 'preventive' }),
  ),
  put('installations', {
    id: 'i-1',
    siteId: site,
    assetId,
    partId,
    serial: 'SN-77',
    since: '2025-03-01',
    warrantyUntil: '2027-03-01',
  } as never),
];

let works: TestWorks;
beforeEach(async () => {
  works = await TestWorks.open(rows);
});
afterEach(() => works.close());

describe('the plant', () => {
  it('is a tree of places and machines, with how they are and what is open', async () => {
    await works.show(<PlantScreen chosen={undefined} />);
    expect(words()).toContain('1 machine is stopped or not fully running');
    expect(words()).toMatch(/Drive hall.*Gearbox/);
    expect(words()).toContain('2 open');
    if (canPress('Unfold Gearbox')) await press('Unfold Gearbox');
    expect(words()).toMatch(/Motor\s*A2/);
    await press('Fold Gearbox');
    expect(words()).not.toMatch(/Motor\s*A2/);
  });

  it('goes by arrows: down, into what belongs to a row, and out of it again', async () => {
    await works.show(<PlantScreen chosen={undefined} />);
    if (canPress('Fold Gearbox')) await press('Fold Gearbox');
    const at = (): string | null | undefined => document.activeElement?.textContent;
    const arrow = async (key: string): Promise<void> => {
      fireEvent.keyDown(document.activeElement ?? document.body, { key });
      await settled();
    };
    const folds = (): string | null =>
      screen.getByRole('button', { name: /old Gearbox/ }).getAttribute('aria-expanded');
    screen.getByRole('link', { name: /^Gearbox/ }).focus();
    expect(folds()).toBe('false');
    await arrow('ArrowRight');
    expect([folds(), at()]).toEqual(['true', expect.stringMatching(/^Gearbox/)]);
    await arrow('ArrowRight');
    expect(at()).not.toMatch(/^Gearbox/);
    await arrow('ArrowLeft');
    expect(at()).toMatch(/^Gearbox/);
    await arrow('ArrowLeft');
    expect(folds()).toBe('false');
    await arrow('ArrowUp');
    expect(at()).not.toMatch(/^Gearbox/);
    await arrow('ArrowDown');
    expect(at()).toMatch(/^Gearbox/);
  });

  it('is searched by name and tag, the best first', async () => {
    await works.show(<PlantScreen chosen={undefined} />);
    await type('Find a machine', 'a2');
    expect([words().includes('1 machine fits'), words().includes('Drive hall')]).toEqual([true, true]);
    await press(/Motor/, 'link');
    expect(visited.at(-1)).toBe('/plant/motor');
    await type('Find a machine', 'zzz');
    expect(words()).toContain('No machine fits “zzz”.');
  });
});

describe('a place', () => {
  it('shows what stands there alone, what happened there, and labels for all of it', async () => {
    await works.show(<PlantScreen chosen={undefined} at={hall} />);
    expect(words()).toMatch(/Drive hall2 machines, 1 out of order, 2 open jobs\./);
    expect(words()).toContain('Gearbox');
    await press('What happened here');
    expect(visited.at(-1)).toBe(`/plant/past/at/${hall}`);
    await press('Print labels');
    expect(words()).toContain('3 labels');
    await press('All of Station');
    expect(visited.at(-1)).toBe(`/plant?place=${station}`);
    await press('The whole plant');
    expect(visited.at(-1)).toBe('/plant');
  });

  it('that is on no site of mine says so, above the whole plant', async () => {
    await works.show(<PlantScreen chosen={undefined} at="nowhere" />);
    expect(words()).toContain('This place is not on this phone');
    expect(words()).toContain('Drive hall');
  });

  it('is one tap from its machines', async () => {
    await works.show(<AssetScreen assetId={assetId} />);
    await press('Drive hall', 'link');
    expect(visited.at(-1)).toBe(`/plant?place=${hall}`);
  });
});

describe('a machine', () => {
  it('shows what is known of it: problems, work, points, parts, plate', async () => {
    await works.show(<AssetScreen assetId={assetId} />);
    expect(words()).toMatch(/Open here2 jobsSeal weepingW-1.*Oil on the floor/);
    expect(words()).toMatch(/Open here.*Oil change/);
    expect(words()).toMatch(/Oil temperature.*up 9.0 over 3 readings.*79.0 °CBeyond alert/);
    expect(words()).toMatch(/Made ofMotorA2 · /);
    expect(words()).toMatch(/SealSN-77 · in since .*Under warranty until/);
    expect(words()).toMatch(/MakerMaker.*ModelM 7.*Power30 kW/);
  });

  it('leads to its work, its parts and its past', async () => {
    await works.show(<AssetScreen assetId={assetId} />);
    await press(/Oil change/, 'link');
    await press(/^Motor/, 'link');
    await press('What happened before', 'link');
    expect(visited.slice(-3)).toEqual(['/shift/w-2', '/plant/motor', `/plant/past/${assetId}`]);
  });

  it('says what its past says, and that there is none without signal', async () => {
    works.past = JSON.stringify({ recordsSince: noon, cutAt: null, asOf: noon, jobs: [], ofClass: [] });
    await works.show(<AssetScreen assetId={assetId} />);
    expect(words()).toContain('What the past says');
    expect(screen.queryByText('Reading the past …')).toBeNull();
  });

  it('that is on no site of mine says so', async () => {
    await works.show(<AssetScreen assetId="nowhere" />);
    expect(words()).toContain('This machine is not on this phone');
  });
});

describe('labels bound to a machine', () => {
  const bound = put('codes', { id: 'MAKER 77', siteId: site, assetId, by: lea.id, at: noon, previous: [] });

  it('are taken off by a lead, and by nobody else', async () => {
    works = await TestWorks.open([...rows, bound]);
    await works.show(<AssetScreen assetId={assetId} />);
    expect(words()).toContain('Labels bound to itMAKER 77');
    expect(canPress('Take off the label MAKER 77')).toBe(false);
    await works.close();
    works = await TestWorks.open([...rows, bound], lea);
    await works.show(<AssetScreen assetId={assetId} />);
    await press('Take off the label MAKER 77');
    expect((await works.sent()).peek('codes', 'MAKER 77')).toBeUndefined();
    expect(words()).not.toContain('MAKER 77');
  });
});

import fc from 'fast-check';
import { asId, type AssetId, type PlaceId, type SiteId } from '@oilcan/core/kernel';
import type { Asset, Place } from '@oilcan/core/plant/plant';
import { anAsset, otherSite, site, aSite } from '@oilcan/core/testing';
import { findableAsset, Finder } from '@oilcan/core/overview/find';
import { openAtFirst, plantTree, rowsInSight, type PlantNode } from './plant-tree';

const place = (id: string, parent: string | null = null): Place => ({
  id: asId<PlaceId>(id),
  siteId: site,
  parentId: parent === null ? null : asId<PlaceId>(parent),
  name: `Place ${id}`,
});
const asset = (id: string, given: { place?: string; parent?: string; name?: string } & Partial<Asset> = {}): Asset => {
  const { place: at = 'hall', parent, ...rest } = given;
  return anAsset({
    id: asId<AssetId>(id),
    placeId: asId<PlaceId>(at),
    parentId: parent === undefined ? null : asId<AssetId>(parent),
    tag: id.toUpperCase(),
    name: id,
    ...rest,
  });
};
const sites = [aSite({ name: 'Lifts' })];
const places = [place('hall'), place('pit', 'hall'), place('roof')];
const treeOf = (assets: readonly Asset[], openOn: ReadonlyMap<string, number> = new Map()): PlantNode[] =>
  plantTree({ sites, places, assets, openOn });
/** `hall(drive(gearbox))`: names, and in brackets what is under them. */
const drawn = (nodes: readonly PlantNode[]): string =>
  nodes.map(({ id, children }) => (children.length === 0 ? id : `${id}(${drawn(children)})`)).join(' ');
const idsIn = (nodes: readonly PlantNode[]): string[] =>
  nodes.flatMap(({ id, asset: of, children }) => [...(of === null ? [] : [id]), ...idsIn(children)]);

describe('the tree of the plant', () => {
  it('has sites, their places, and in each what stands there; a part under what it is part of', () => {
    const assets = [asset('drive'), asset('gearbox', { parent: 'drive' }), asset('pump', { place: 'pit' })];
    expect(drawn(treeOf(assets))).toBe('site(hall(pit(pump) drive(gearbox)) roof)');
  });

  it('has a part that stands elsewhere where it stands', () => {
    const assets = [asset('drive'), asset('panel', { parent: 'drive', place: 'roof' })];
    expect(drawn(treeOf(assets))).toBe('site(hall(pit drive) roof(panel))');
  });

  it('puts what points at nothing at the root, and a ring of parts nowhere twice', () => {
    const assets = [
      asset('lost', { place: 'gone' }),
      asset('far', { place: 'gone', siteId: otherSite as SiteId }),
      asset('a', { parent: 'b' }),
      asset('b', { parent: 'a' }),
    ];
    const tree = treeOf(assets);
    expect(tree.map(({ name }) => name)).toEqual(['Lifts', 'Elsewhere']);
    expect(new Set(idsIn(tree)).size).toBe(idsIn(tree).length);
    expect(idsIn(tree)).toEqual(expect.arrayContaining(['lost', 'far']));
  });

  it('counts upward what is open and what does not run', () => {
    const assets = [asset('drive', { condition: 'reduced' }), asset('pump', { place: 'pit', condition: 'stopped' })];
    const [root] = treeOf(
      assets,
      new Map([
        ['drive', 2],
        ['pump', 3],
      ]),
    );
    expect(root).toMatchObject({ assets: 2, out: 2, open: 5 });
    expect(root?.children[0]?.children[0]).toMatchObject({ id: 'pit', assets: 1, out: 1, open: 3 });
  });

  it('has tower 2 before tower 10', () => {
    const assets = ['tower 10', 'tower 2', 'tower 1'].map((name) => asset(name.replace(' ', ''), { name }));
    expect(
      treeOf(assets)[0]
        ?.children[0]?.children.slice(1)
        .map(({ name }) => name),
    ).toEqual(['tower 1', 'tower 2', 'tower 10']);
  });

  it('has every machine once, whatever it is part of and wherever it stands', () => {
    const parents = fc.array(
      fc.tuple(fc.integer({ min: -1, max: 11 }), fc.constantFrom('hall', 'pit', 'roof', 'gone')),
      {
        maxLength: 12,
      },
    );
    fc.assert(
      fc.property(parents, (plan) => {
        // A machine is part of an earlier one, so there are no rings.
        const assets = plan.map(([parent, at], index) =>
          asset(`m${index}`, { place: at, ...(parent >= 0 && parent < index ? { parent: `m${parent}` } : {}) }),
        );
        const ids = idsIn(treeOf(assets));
        return ids.length === assets.length && new Set(ids).size === assets.length;
      }),
    );
  });
});

describe('what is in sight of it', () => {
  const tree = treeOf([asset('drive'), asset('gearbox', { parent: 'drive' }), asset('pump', { place: 'pit' })]);
  it('is what lies under what is open', () => {
    const open = new Set<string>([site, 'hall']);
    expect(rowsInSight(tree, (id) => open.has(id)).map(({ node, depth, isOpen }) => [node.id, depth, isOpen])).toEqual([
      [site, 0, true],
      ['hall', 1, true],
      ['pit', 2, false],
      ['drive', 2, false],
      ['roof', 1, false],
    ]);
  });

  it('is at first as many whole levels as fit', () => {
    const rowsFor = (most: number): number => {
      const open = openAtFirst(tree, most);
      return rowsInSight(tree, (id) => open.has(id)).length;
    };
    expect([rowsFor(3), rowsFor(5), rowsFor(40)]).toEqual([3, 5, 7]);
  });
});

describe('finding machines', () => {
  const assets = [
    asset('gun-1', { name: 'Snow gun 1', tag: 'SNW-1' }),
    asset('gearbox', { name: 'Gearbox', tag: 'LRK-G1' }),
    asset('gauge', { name: 'Gauge of the gearbox', tag: 'G1-X' }),
  ];
  const finder = new Finder();
  const names = { asset: () => undefined, place: (id: string) => places.find((each) => each.id === id) };
  finder.put(assets.map((each) => findableAsset(each, names)));
  const found = (text: string): string[] => finder.find(text, 10).map(({ id }) => id);

  it('puts first whose tag it is, then whose tag begins so', () => {
    expect(found('g1')).toEqual(expect.arrayContaining(['gauge', 'gearbox']));
    expect(found('g1')[0]).toBe('gauge');
    expect(found('LRK-G1')).toEqual(['gearbox']);
  });

  it('takes all words, of the place too, in any order and case', () => {
    expect(found('HALL gun')).toEqual(['gun-1']);
    expect(found('gun pit')).toEqual([]);
  });
});

import { byId } from '@oilcan/core/kernel';
import type { Site } from '@oilcan/core/plant/people';
import type { Asset, Place } from '@oilcan/core/plant/plant';

/** A site, a place or an asset in the tree of the plant, with what is under it counted together. */
export interface PlantNode {
  readonly id: string;
  readonly name: string;
  /** Null for a site or a place. */
  readonly asset: Asset | null;
  readonly children: readonly PlantNode[];
  /** Assets here and below. */
  readonly assets: number;
  /** Assets here and below that are stopped or reduced. */
  readonly out: number;
  /** Open work orders here and below. */
  readonly open: number;
}

export interface PlantRow {
  readonly node: PlantNode;
  readonly depth: number;
  readonly isOpen: boolean;
}

interface PlantRows {
  readonly sites: readonly Site[];
  readonly places: readonly Place[];
  readonly assets: readonly Asset[];
  /** Open work orders by asset. */
  readonly openOn: ReadonlyMap<string, number>;
}

/**
 * Where things stand: sites, their places, and in each place its assets, a part under what it is part of when both stand
 * in one place. What points at something that is not there stands at the root, so that nothing is lost.
 */
export function plantTree({ sites, places, assets, openOn }: PlantRows): PlantNode[] {
  const placeIds = new Set(places.map(({ id }) => id));
  const siteIds = new Set<string>(sites.map(({ id }) => id));
  const assetById = byId(assets);
  const placesUnder = groupBy(places, ({ parentId, siteId }) =>
    parentId !== null && placeIds.has(parentId) ? parentId : siteId,
  );
  const assetsUnder = groupBy(assets, ({ parentId, placeId, siteId }) => {
    const parent = parentId === null ? undefined : assetById.get(parentId);
    if (parent !== undefined && parent.placeId === placeId) return parent.id;
    return placeIds.has(placeId) ? placeId : siteId;
  });
  const onPath = new Set<string>();
  const node = (id: string, name: string, asset: Asset | null): PlantNode => {
    onPath.add(id);
    const children = [
      ...(placesUnder.get(id) ?? [])
        .filter((place) => !onPath.has(place.id))
        .map((place) => node(place.id, place.name, null)),
      ...(assetsUnder.get(id) ?? [])
        .filter((each) => !onPath.has(each.id))
        .map((each) => node(each.id, each.name, each)),
    ];
    onPath.delete(id);
    const sum = (of: 'assets' | 'out' | 'open'): number => children.reduce((total, child) => total + child[of], 0);
    return {
      id,
      name,
      asset,
      children,
      assets: sum('assets') + (asset === null ? 0 : 1),
      out: sum('out') + (asset === null || asset.condition === 'running' ? 0 : 1),
      open: sum('open') + (asset === null ? 0 : (openOn.get(asset.id) ?? 0)),
    };
  };
  const homeless = new Set<string>([...places, ...assets].map(({ siteId }) => siteId).filter((id) => !siteIds.has(id)));
  return [
    ...sites.map(({ id, name }) => node(id, name, null)),
    ...[...homeless].map((id) => node(id, 'Elsewhere', null)),
  ].filter(({ assets: count, children }) => count > 0 || children.length > 0);
}

/** By name, numbers in their order: tower 2 before tower 10. */
const collator = new Intl.Collator('en', { numeric: true });

function groupBy<Item extends { readonly name: string }>(
  items: readonly Item[],
  keyOf: (item: Item) => string,
): ReadonlyMap<string, Item[]> {
  const groups = new Map<string, Item[]>();
  for (const item of items) {
    const key = keyOf(item);
    const group = groups.get(key);
    if (group === undefined) groups.set(key, [item]);
    else group.push(item);
  }
  for (const group of groups.values()) group.sort((a, b) => collator.compare(a.name, b.name));
  return groups;
}

/** The rows that are in sight: a node, and below it its children when it is open. */
export function rowsInSight(nodes: readonly PlantNode[], isOpen: (id: string) => boolean, depth = 0): PlantRow[] {
  return nodes.flatMap((node) => {
    const open = node.children.length > 0 && isOpen(node.id);
    return [{ node, depth, isOpen: open }, ...(open ? rowsInSight(node.children, isOpen, depth + 1) : [])];
  });
}

/** The place with this id; undefined for none, or a machine. */
export function nodeIn(nodes: readonly PlantNode[], id: string): PlantNode | undefined {
  for (const node of nodes) {
    if (node.asset !== null) continue;
    const found = node.id === id ? node : nodeIn(node.children, id);
    if (found !== undefined) return found;
  }
  return undefined;
}

/** What is open before anybody opened anything: whole levels from the top, as long as no more rows than these come of it. */
export function openAtFirst(nodes: readonly PlantNode[], mostRows: number): ReadonlySet<string> {
  const open = new Set<string>();
  let level = nodes;
  let rows = nodes.length;
  while (level.length > 0) {
    const next = level.flatMap(({ children }) => children);
    rows += next.length;
    if (rows > mostRows && open.size > 0) break;
    for (const { id } of level) open.add(id);
    if (rows > mostRows) break;
    level = next;
  }
  return open;
}

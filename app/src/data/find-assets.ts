import type { Asset, Place } from '@oilcan/core/plant';

/** An asset with all the words by which it is found, in lower case. */
export interface FindableAsset {
  readonly asset: Asset;
  readonly tag: string;
  readonly name: string;
  readonly text: string;
}

/** Made once, whenever assets or places change: what is typed is then only looked up in it. */
export function findableAssets(assets: readonly Asset[], places: readonly Place[]): FindableAsset[] {
  const placeNames = new Map(places.map(({ id, name }) => [id, name]));
  return assets.map((asset) => {
    const { maker, model, serial } = asset.nameplate;
    const words = [
      asset.tag,
      asset.name,
      placeNames.get(asset.placeId) ?? '',
      maker,
      model,
      serial,
      asset.equipmentClass,
    ];
    const [tag, name] = [asset.tag.toLowerCase(), asset.name.toLowerCase()];
    return { asset, tag, name, text: words.join(' ').toLowerCase() };
  });
}

/** Assets that have every word somewhere, by how well they fit: the tag itself, its beginning, the name's beginning, the rest. */
export function findAssets(among: readonly FindableAsset[], typed: string): Asset[] {
  const wanted = typed.trim().toLowerCase();
  const words = wanted.split(/\s+/);
  const ranks: FindableAsset[][] = [[], [], [], []];
  for (const each of among) {
    if (!words.every((word) => each.text.includes(word))) continue;
    const rank = each.tag === wanted ? 0 : each.tag.startsWith(wanted) ? 1 : each.name.startsWith(wanted) ? 2 : 3;
    ranks[rank]?.push(each);
  }
  return ranks.flat().map(({ asset }) => asset);
}

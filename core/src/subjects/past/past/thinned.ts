/**
 * Fewer values for a picture: from each of so many stretches of equal count the least and the greatest, in their order, so
 * that no peak is lost. A list that is short enough stays as it is.
 *
 * @param values in the order in which they are drawn
 */
export function thinned<Item extends { readonly value: number }>(
  values: readonly Item[],
  most: number,
): readonly Item[] {
  if (values.length <= most) return values;
  const stretches = Math.max(1, Math.floor(most / 2));
  return Array.from({ length: stretches }, (_, index) => {
    const from = Math.floor((index * values.length) / stretches);
    const stretch = values.slice(from, Math.floor(((index + 1) * values.length) / stretches));
    let [least, greatest] = [0, 0];
    for (const [at, { value }] of stretch.entries()) {
      if (value < (stretch[least]?.value ?? value)) least = at;
      if (value > (stretch[greatest]?.value ?? value)) greatest = at;
    }
    return [...new Set([Math.min(least, greatest), Math.max(least, greatest)])].flatMap((at) => stretch[at] ?? []);
  }).flat();
}

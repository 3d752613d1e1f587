/** A place or an asset in its tree. */
interface InTree {
  readonly id: string;
  readonly parentId: string | null;
}

/** The id at the root and those of everything below it; what goes round in a circle is counted once. */
export function idsWithin(root: string, rows: readonly InTree[]): ReadonlySet<string> {
  const below = new Map<string, string[]>();
  for (const { id, parentId } of rows) {
    if (parentId === null) continue;
    const siblings = below.get(parentId);
    if (siblings === undefined) below.set(parentId, [id]);
    else siblings.push(id);
  }
  const within = new Set([root]);
  // A set is walked on through what is added to it meanwhile.
  for (const id of within) for (const child of below.get(id) ?? []) within.add(child);
  return within;
}

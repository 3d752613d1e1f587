/** What nothing that people record needs: names that every object has by itself, and depth without end. */
const MOST_DEPTH = 16;

export const NOT_PLAIN = 'There is a field here that nobody knows, or fields within fields without end.';

/** The name of a field of this object that every object has by itself (`constructor`, `toString`, `__proto__`); null for none. */
export function inheritedKeyIn(value: unknown): string | null {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return null;
  return Object.keys(value).find((key) => key in Object.prototype) ?? null;
}

/**
 * The name of the first field that no schema should have to look at: one that every object has by itself, or one that lies
 * too deep. Null for plain data. Does not go deeper than it allows.
 */
export function strangeIn(value: unknown, depth = 0, name = ''): string | null {
  if (typeof value !== 'object' || value === null) return null;
  if (depth > MOST_DEPTH) return name;
  const inherited = inheritedKeyIn(value);
  if (inherited !== null) return inherited;
  for (const key of Object.keys(value)) {
    const found = strangeIn((value as Readonly<Record<string, unknown>>)[key], depth + 1, key);
    if (found !== null) return found;
  }
  return null;
}

/** What nothing that people record needs: names that every object has by itself, and depth without end. */
const MOST_DEPTH = 16;

export const NOT_PLAIN = 'There is a field here that nobody knows, or fields within fields without end.';

/**
 * The name of the first field that no schema should have to look at: one that every object has by itself (`constructor`,
 * `toString`, `__proto__`), or one that lies too deep. Null for plain data. Does not go deeper than it allows.
 */
export function strangeIn(value: unknown, depth = 0, name = ''): string | null {
  if (typeof value !== 'object' || value === null) return null;
  if (depth > MOST_DEPTH) return name;
  for (const key of Object.keys(value)) {
    if (!Array.isArray(value) && key in Object.prototype) return key;
    const found = strangeIn((value as Readonly<Record<string, unknown>>)[key], depth + 1, key);
    if (found !== null) return found;
  }
  return null;
}

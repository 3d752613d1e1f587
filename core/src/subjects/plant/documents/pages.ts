/** More than that is no list of pages to take along. */
const MOST_PAGES = 400;
const PART = /^(\d{1,4})(?:\s*(?:-|–|to)\s*(\d{1,4}))?$/;

/**
 * Reads which pages are meant: `3`, `3-5`, `3 to 5, 9`; counted from 1, each once, in the order in which they are named. Empty means all.
 *
 * @returns null for all of them; undefined where it is no list of pages
 */
export function readPages(text: string): readonly number[] | null | undefined {
  const parts = text
    .split(/[,;]/)
    .map((part) => part.trim().toLowerCase())
    .filter((part) => part !== '');
  if (parts.length === 0) return null;
  const pages = new Set<number>();
  for (const part of parts) {
    const found = PART.exec(part);
    const first = Number(found?.[1] ?? 0);
    const last = Number(found?.[2] ?? first);
    if (found === null || first < 1 || last < first || last - first >= MOST_PAGES) return undefined;
    for (let page = first; page <= last; page += 1) pages.add(page);
    if (pages.size > MOST_PAGES) return undefined;
  }
  return [...pages];
}

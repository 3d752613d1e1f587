import type { Bin, Store } from './stock';

/** Bin C-4 before C-10. */
const byLabel = new Intl.Collator('en', { numeric: true });

const compareText = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

/** A bin and its store, as far as they are known. */
export interface Whereabouts {
  readonly store: Pick<Store, 'id' | 'name'> | undefined;
  readonly bin: Pick<Bin, 'id' | 'label'> | undefined;
}

/** As one walks: through one store before the next, there by the labels on the shelves. Two stores of one name are still two. */
export function compareByWalk(a: Whereabouts, b: Whereabouts): number {
  return (
    byLabel.compare(a.store?.name ?? '', b.store?.name ?? '') ||
    compareText(a.store?.id ?? '', b.store?.id ?? '') ||
    byLabel.compare(a.bin?.label ?? '', b.bin?.label ?? '') ||
    compareText(a.bin?.id ?? '', b.bin?.id ?? '')
  );
}

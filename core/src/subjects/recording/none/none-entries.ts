import { plainEntry, type EntryKindsNamed } from '../../orders/work/entry-kinds';

/**
 * Of what there can be none: no part was taken, the machine did not stand still, no time of the person's was spent, nothing
 * was found at fault.
 */
export const nonesOf = ['part', 'stoppage', 'time', 'fault'] as const;
export type NoneOf = (typeof nonesOf)[number];

/** Somebody says that there was none of it. */
export interface NoneContent {
  readonly kind: 'none';
  readonly of: NoneOf;
}

declare module '../../orders/work/entries' {
  interface EntryContents {
    none: NoneContent;
  }
}

export const noneEntries: EntryKindsNamed<'none'> = {
  none: { ...plainEntry, since: 11, cells: ({ of }) => ({ text: of }), withdraw: 'marks' },
};

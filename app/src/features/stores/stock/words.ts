import type { Fate } from '@oilcan/core/stores/stock';

/** What becomes of a part that came out. */
export const fateWords: Readonly<Record<Fate, string>> = {
  scrap: 'Scrapped',
  repair: 'Goes for repair',
  warranty: 'Goes back under warranty',
  keep: 'Kept in a bin',
};

/** Why nothing can be taken yet. */
export const HAZARDS_FIRST = 'Read the hazards of this job first.';

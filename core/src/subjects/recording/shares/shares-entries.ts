import type { PersonId, ShareId } from '../../../kernel/ids';
import { plainEntry, type EntryKindsNamed } from '../../orders/work/entry-kinds';

export const shareActs = ['made', 'passedOn', 'changed', 'dissolved'] as const;

/** What became of a share of the job, and whose it is by it. */
export interface ShareContent {
  readonly kind: 'share';
  readonly shareId: ShareId;
  readonly act: (typeof shareActs)[number];
  readonly personId: PersonId;
  /** How many steps were put into it. */
  readonly steps: number;
}

declare module '../../orders/work/entries' {
  interface EntryContents {
    share: ShareContent;
  }
}

export const sharesEntries: EntryKindsNamed<'share'> = {
  share: {
    ...plainEntry,
    since: 10,
    cells: ({ personId, act }, { person }) => ({ person: person(personId)?.name ?? personId, text: act }),
    gives: ({ content: { act, personId, steps } }) =>
      act === 'made' || act === 'passedOn' ? { personId, fact: { is: 'share', steps } } : null,
  },
};

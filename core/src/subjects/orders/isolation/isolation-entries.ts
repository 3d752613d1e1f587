import type { PersonId } from '../../../kernel/ids';
import { plainEntry, type EntryKindsNamed } from '../work/entry-kinds';

/**
 * What is done about energy, in the order of OSHA 29 CFR 1910.147(d): after preparing (1), the machine is shut down (2),
 * every point isolated (3) and locked (4), stored energy released (5), and its absence verified (6). Locks come off at the
 * end, each by the one who put it on (1910.147(e)(3)).
 */
export const isolationActs = ['shutDown', 'lock', 'release', 'test', 'unlock'] as const;
export type IsolationAct = (typeof isolationActs)[number];

export interface IsolationContent {
  readonly kind: 'isolation';
  readonly act: IsolationAct;
  /** Null for shutting down, which is the whole machine's. */
  readonly pointId: string | null;
  /** Whose lock comes off. */
  readonly ofPersonId: PersonId | null;
  /** Why somebody else takes a lock off; empty otherwise. */
  readonly reason: string;
}

declare module '../work/entries' {
  interface EntryContents {
    isolation: IsolationContent;
  }
}

export const isolationEntries: EntryKindsNamed<'isolation'> = {
  isolation: {
    ...plainEntry,
    cells: ({ act }) => ({ text: act }),
    inNameOf: ({ by, content }, work, nameOf) => {
      if (content.ofPersonId === null || content.ofPersonId === by) return null;
      const device = work.isolation.find(({ id }) => id === content.pointId)?.device ?? '';
      return {
        personId: content.ofPersonId,
        fact: { is: 'lockOff', device, by: nameOf(by), reason: content.reason },
      };
    },
  },
};

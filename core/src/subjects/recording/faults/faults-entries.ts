import { plainEntry, type EntryKindsNamed } from '../../orders/work/entry-kinds';

/** A coded failure, ISO 14224:2016 annex B. */
export interface FaultContent {
  readonly kind: 'fault';
  /** Failure-mode code, such as `ELU`. */
  readonly mode: string;
  /** Mechanism, such as `2.4`; empty where nobody said. */
  readonly mechanism: string;
  /** Cause, such as `3.3`; empty where nobody said. */
  readonly cause: string;
  /** Detection method 1–10; null where nobody said. */
  readonly detection: number | null;
  /** Maintenance activity 1–12; null where nobody said. */
  readonly activity: number | null;
  /** Which part of the machine, in its own words. */
  readonly component: string;
  readonly text: string;
}

/** What a past keeps of a fault: its codes and the part of the machine. */
export type PastFault = Omit<FaultContent, 'kind' | 'text'>;

declare module '../../orders/work/entries' {
  interface EntryContents {
    fault: FaultContent;
  }
}

declare module '../../orders/work/entry-kinds' {
  interface PastKept {
    fault: PastFault;
  }
}

export const faultsEntries: EntryKindsNamed<'fault'> = {
  fault: {
    ...plainEntry,
    cells: ({ mode, mechanism, cause, detection, activity, component, text }) => ({
      failureMode: mode,
      mechanism,
      cause,
      detection: detection ?? '',
      activity: activity ?? '',
      text: [component, text].filter((each) => each !== '').join(': '),
    }),
    amendedBy: 'fault.amend',
    withdraw: 'marks',
    past: {
      keep: (entries) => entries.map(({ content: { kind: _, text: __, ...fault } }) => fault),
      at: (_fault, { at }) => at,
      words: ({ component, mode }) => `${component} ${mode}`,
    },
    notificationText: 'a fault',
  },
};

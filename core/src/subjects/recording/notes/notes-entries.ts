import type { StepId } from '../../../kernel/ids';
import { plainEntry, type EntryKindsNamed } from '../../orders/work/entry-kinds';

/** Words for whoever comes next. */
export interface NoteContent {
  readonly kind: 'note';
  readonly text: string;
  /** The step that it is about; absent where it is about the whole job. */
  readonly stepId?: StepId;
}

declare module '../../orders/work/entries' {
  interface EntryContents {
    note: NoteContent;
  }
}

declare module '../../orders/work/entry-kinds' {
  interface PastKept {
    note: string;
  }
}

export const notesEntries: EntryKindsNamed<'note'> = {
  note: {
    ...plainEntry,
    cells: ({ text }) => ({ text }),
    amendedBy: 'note.amend',
    withdraw: 'marks',
    past: {
      keep: (entries) => entries.map(({ content }) => content.text),
      at: (_text, { at, endedAt }) => endedAt ?? at,
      words: (text) => text,
    },
    notificationText: 'a note',
  },
};

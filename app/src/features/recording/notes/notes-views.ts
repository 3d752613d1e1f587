import { lazyComponent } from '../../../ui/loading/lazy-component';
import type { DockItem } from '../../frame/views/dock-item';
import { inWords, type EntryViewsNamed } from '../../frame/views/entry-view';
import type { OperationViewsNamed } from '../../frame/views/operation-view';
import { mdiNoteTextOutline } from '@mdi/js';

const fromDock: DockItem = {
  name: 'note',
  word: 'Note',
  icon: mdiNoteTextOutline,
  key: 'n',
  place: 'dock',
  countsAsWorking: false,
  Sheet: lazyComponent(() => import('./note-sheet').then((module) => module.NoteSheet)),
};

const entries: EntryViewsNamed<'note'> = {
  note: {
    ...inWords,
    group: 'notes',
    dock: fromDock,
    say: ({ content }) => ({ headline: content.text, detail: 'Note' }),
    amend: {
      label: 'Text instead',
      lines: 4,
      typed: ({ text }) => text,
      hint: '',
      operation: 'note.amend',
      ask: (on, _content, text) => ({ args: { ...on, text }, said: 'Note amended.' }),
    },
    past: { many: 'Notes', line: (text) => `“${text}”` },
  },
};

const operations: OperationViewsNamed<'note.add' | 'note.amend'> = {
  'note.add': { say: ({ text }) => text, fields: { text: 'Note' } },
  'note.amend': { say: null, fields: { text: 'Note' } },
};

export const notesViews = { entries, operations };

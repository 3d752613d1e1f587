import { plainEntry, type EntryKindsNamed } from './entry-kinds';

export const workEntries: EntryKindsNamed<'state' | 'withdrawal'> = {
  state: { ...plainEntry, cells: ({ from, to, reason }) => ({ from, to, text: reason }) },
  withdrawal: { ...plainEntry, cells: ({ reason }) => ({ text: reason }) },
};

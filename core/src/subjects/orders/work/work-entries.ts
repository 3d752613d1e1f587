import { plainEntry, type EntryKindsNamed } from './entry-kinds';

export const workEntries: EntryKindsNamed<'state' | 'withdrawal'> = {
  state: plainEntry,
  withdrawal: plainEntry,
};

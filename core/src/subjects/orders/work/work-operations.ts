import type { EntryKindSet } from './entry-kinds';
import { giveWork } from './give-work';
import { withdrawEntry } from './withdraw-entry';

export function workOperations(kinds: EntryKindSet) {
  return { 'work.give': giveWork, 'entry.withdraw': withdrawEntry(kinds) };
}

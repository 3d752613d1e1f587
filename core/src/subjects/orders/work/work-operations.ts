import type { EntryKindSet, PutBackSet } from './entry-kinds';
import { giveWork } from './give-work';
import { withdrawEntry } from './withdraw-entry';

export function workOperations(kinds: EntryKindSet, putBacks: PutBackSet) {
  return { 'work.give': giveWork, 'entry.withdraw': withdrawEntry(kinds, putBacks) };
}

import type { EntryId } from '../../../kernel/ids';
import type { Entry } from '../../orders/work/entries';
import { entryBeside } from '../../orders/work/entry-ids';

/** Entries without the readings that answers of steps took or took back: what was done once is told once, by its step. */
export function toldOnce(entries: readonly Entry[]): Entry[] {
  const byAnswers = new Set<EntryId>(
    entries.flatMap(({ id, content }) => (content.kind === 'answer' ? [entryBeside(id, 'reading')] : [])),
  );
  return entries.filter(({ id }) => !byAnswers.has(id));
}

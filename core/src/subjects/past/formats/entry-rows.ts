import { currentEntries, type Entry } from '../../orders/work/entries';
import type { Cells } from '../../orders/work/entry-cells';
import { entryColumns } from '../../orders/work/entry-columns';
import { anyEntryKind, type EntryKindSet } from '../../orders/work/entry-kinds';
import type { RecordSource } from './record-document';

/** Entries as lines of a table, in the order of time. */
export function entryRows(kinds: EntryKindSet, source: RecordSource): (string | number)[][] {
  const entries = [...source.entries].sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : a.id < b.id ? -1 : 1));
  const standing = new Set(currentEntries(entries).map(({ id }) => id));
  return entries.map((entry) => {
    const cells: Cells = {
      ...ofEntry(entry, standing.has(entry.id), source),
      ...anyEntryKind(kinds, entry.content.kind)?.cells(entry.content, source),
    };
    return entryColumns.map((column) => cells[column] ?? '');
  });
}

function ofEntry({ id, at, by, amends, assetId, content }: Entry, stands: boolean, source: RecordSource): Cells {
  return {
    entry: id,
    at,
    kind: content.kind,
    by: source.person(by)?.name ?? by,
    amends: amends ?? '',
    stands: stands ? 'yes' : 'no',
    asset: source.asset(assetId)?.tag ?? assetId,
  };
}

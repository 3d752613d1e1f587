import { byId } from '@oilcan/core/kernel';
import type { Entry, EntryKind } from '@oilcan/core/work';

/** By what a record is narrowed. */
export const recordGroups = ['time', 'parts', 'readings', 'faults', 'notes', 'steps', 'safety', 'state'] as const;
export type RecordGroup = (typeof recordGroups)[number];

export const recordGroupWords: Readonly<Record<RecordGroup, string>> = {
  time: 'Time',
  parts: 'Parts',
  readings: 'Readings',
  faults: 'Faults',
  notes: 'Notes',
  steps: 'Steps',
  safety: 'Safety',
  state: 'State',
};

const groupOfKind: Readonly<Record<Exclude<EntryKind, 'withdrawal'>, RecordGroup>> = {
  labor: 'time',
  part: 'parts',
  reading: 'readings',
  fault: 'faults',
  stoppage: 'faults',
  note: 'notes',
  photo: 'notes',
  answer: 'steps',
  acknowledgement: 'safety',
  hazard: 'safety',
  isolation: 'safety',
  state: 'state',
};

/** The entries of each group that has any, in the order of the record; what takes an entry back stands with that entry. */
export function groupRecord(entries: readonly Entry[]): ReadonlyMap<RecordGroup, readonly Entry[]> {
  const rows = byId(entries);
  const groupOf = ({ content, amends }: Entry): RecordGroup => {
    if (content.kind !== 'withdrawal') return groupOfKind[content.kind];
    const back = amends === null ? undefined : rows.get(amends)?.content.kind;
    return back === undefined || back === 'withdrawal' ? 'state' : groupOfKind[back];
  };
  const groups = new Map<RecordGroup, Entry[]>();
  for (const entry of entries) {
    const group = groupOf(entry);
    const before = groups.get(group);
    if (before === undefined) groups.set(group, [entry]);
    else before.push(entry);
  }
  return groups;
}

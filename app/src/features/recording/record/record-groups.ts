import { byId } from '@oilcan/core/kernel';
import type { Entry } from '@oilcan/core/orders/work';
import { viewOf } from '../../frame/registry/view-of';
import type { RecordGroup } from '../../frame/views/record-group';

/** The entries of each group that has any, in the order of the record; what takes an entry back stands with that entry. */
export function groupRecord(entries: readonly Entry[]): ReadonlyMap<RecordGroup, readonly Entry[]> {
  const rows = byId(entries);
  const groupOf = ({ content, amends }: Entry): RecordGroup => {
    const { group } = viewOf(content.kind);
    if (group !== null) return group;
    const back = amends === null ? undefined : rows.get(amends);
    return (back === undefined ? null : viewOf(back.content.kind).group) ?? 'state';
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

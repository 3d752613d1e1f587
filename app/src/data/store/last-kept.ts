import { create } from 'zustand';
import type { EntryId, WorkOrderId } from '@oilcan/core/kernel';
import { entryKinds } from '@oilcan/core/registry';
import type { Entry } from '@oilcan/core/orders/work';
import { machineMillis } from '../browser/machine-clock';

/** For so long what was just recorded can be undone by a press. */
export const UNDO_MILLISECONDS = 10_000;

export interface LastKept {
  readonly entryId: EntryId;
  readonly workOrderId: WorkOrderId;
  /** By this device's clock. */
  readonly until: number;
}

/** What was recorded last on this phone and can still be undone. */
export const useLastKept = create<{ readonly last: LastKept | null }>(() => ({ last: null }));

/** Notes what an operation just recorded, where that can be taken back; anything else forgets what was before. */
export function noteKept(entry: Entry | undefined): void {
  const canUndo =
    entry !== undefined &&
    entry.amends === null &&
    Object.hasOwn(entryKinds, entry.content.kind) &&
    entryKinds[entry.content.kind].withdraw !== null;
  useLastKept.setState({
    last: canUndo
      ? { entryId: entry.id, workOrderId: entry.workOrderId, until: machineMillis() + UNDO_MILLISECONDS }
      : null,
  });
}

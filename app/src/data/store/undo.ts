import { UNDO_MILLISECONDS, useLastKept } from './last-kept';
import { holdAccepting, undoAccepting, useAccepting } from './accepting';
import type { NoticeUndo } from '../../ui/state/use-notice';
import { performOrSay } from './use-operation';
import { machineMillis } from '../browser/machine-clock';

/** A notice that shows so soon after something was recorded tells of it. */
const TELLS_OF_IT_MILLISECONDS = 1_000;

const undo: NoticeUndo = { milliseconds: UNDO_MILLISECONDS, onUndo: () => void undoLast(), onHold: holdUndo };

/** What takes back what a notice that shows now tells of; null where it tells of nothing that can be taken back. */
export function undoOfNotice(): NoticeUndo | null {
  if (useAccepting.getState().ids.length > 0) return undo;
  const { last } = useLastKept.getState();
  const passed = last === null ? Infinity : machineMillis() - (last.until - UNDO_MILLISECONDS);
  return passed > TELLS_OF_IT_MILLISECONDS ? null : undo;
}

/** Somebody has the focus or the pointer on Undo: it waits for them, and begins anew when they leave it. */
function holdUndo(isHeld: boolean): void {
  holdAccepting(isHeld);
  const { last } = useLastKept.getState();
  if (last === null || machineMillis() >= last.until) return;
  useLastKept.setState({ last: { ...last, until: isHeld ? Infinity : machineMillis() + UNDO_MILLISECONDS } });
}

/** Takes back what was recorded last, while that can be undone; tells whether there was anything. */
export function undoLast(): boolean {
  if (undoAccepting()) return true;
  const { last } = useLastKept.getState();
  if (last === null || machineMillis() >= last.until) return false;
  useLastKept.setState({ last: null });
  const { workOrderId, entryId } = last;
  void performOrSay('entry.withdraw', { workOrderId, entryId, reason: 'Undone at once' });
  return true;
}

import type { WorkOrderId } from '@oilcan/core/kernel';
import { create } from 'zustand';
import { useNotice } from '../../ui/state/use-notice';
import { UNDO_MILLISECONDS } from './last-kept';
import { peekRow } from './store';
import { performOrSay } from './use-operation';

/** Finished jobs that the lead has accepted and can still leave as they are; the server hears of it when that is over. */
export const useAccepting = create<{ readonly ids: readonly WorkOrderId[] }>(() => ({ ids: [] }));

let over: ReturnType<typeof setTimeout> | undefined;

/** Accepts finished jobs, which locks them for good: for a while that can be undone. What was accepted before is so for good now. */
export function accept(ids: readonly WorkOrderId[]): void {
  void settleAccepting();
  if (ids.length === 0) return;
  useAccepting.setState({ ids });
  over = setTimeout(() => void settleAccepting(), UNDO_MILLISECONDS);
  const [first] = ids;
  const number = first === undefined ? '' : (peekRow('workOrders', first)?.number ?? 'The job');
  useNotice.getState().say(ids.length === 1 ? `${number} accepted.` : `${ids.length} jobs accepted.`);
}

/** While somebody is at Undo, nothing is accepted for good. */
export function holdAccepting(isHeld: boolean): void {
  clearTimeout(over);
  if (!isHeld && useAccepting.getState().ids.length > 0)
    over = setTimeout(() => void settleAccepting(), UNDO_MILLISECONDS);
}

/** Leaves the jobs finished that were accepted last; tells whether there were any. */
export function undoAccepting(): boolean {
  clearTimeout(over);
  const { ids } = useAccepting.getState();
  useAccepting.setState({ ids: [] });
  return ids.length > 0;
}

/** Accepts for good what was accepted last, before something else is done or the page goes away. */
export async function settleAccepting(): Promise<void> {
  clearTimeout(over);
  const { ids } = useAccepting.getState();
  for (const workOrderId of ids) await performOrSay('work.accept', { workOrderId });
  // Only now: until the state says so, the list leaves them out by this.
  useAccepting.setState(({ ids: still }) => ({ ids: still.filter((id) => !ids.includes(id)) }));
}

/** Whoever leaves the page has made up their mind. */
export function settleAcceptingOnLeaving(): () => void {
  const leave = (): void => {
    if (document.visibilityState === 'hidden') void settleAccepting();
  };
  document.addEventListener('visibilitychange', leave);
  return () => document.removeEventListener('visibilitychange', leave);
}

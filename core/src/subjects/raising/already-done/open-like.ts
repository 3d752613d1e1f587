import { likeness } from '../../../kernel/text/likeness';
import { isOpen } from '../../orders/work/states';
import type { WorkOrder } from '../../orders/work/work-order';

/** As like as this, two texts are taken to be of the same work. */
const AS_LIKE = 0.5;

/** Of the work of a machine, the open one that is most like what was done; null where none is like it. */
export function openWorkLike(title: string, ofMachine: readonly WorkOrder[]): WorkOrder | null {
  const open = ofMachine.filter(({ state }) => isOpen(state));
  if (title === '' || open.length === 0) return null;
  const scores = likeness(
    title,
    open.map((work) => `${work.title} ${work.reason}`),
  );
  const most = Math.max(...scores);
  return most >= AS_LIKE ? (open[scores.indexOf(most)] ?? null) : null;
}

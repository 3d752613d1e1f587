import type { LocalDay } from '@oilcan/core/kernel';
import { keptChoice } from '../../ui/kept-choice';
import { everything, isNarrowed, readNarrowing } from './narrowing';
import { shiftOrders, type ShiftOrder, type Shown } from './shift-list';

export const allWork: Shown = { find: '', narrowing: everything, order: 'first' };

/** What the Shift list shows of the work. */
export const useShiftChoice = keptChoice<Shown>('oilcan.shift', allWork, { read: readShown, isPersonal: true });

function readShown(kept: unknown): Shown {
  if (typeof kept !== 'object' || kept === null) return allWork;
  const { find, narrowing, order } = kept as Readonly<Record<string, unknown>>;
  return {
    find: typeof find === 'string' ? find : '',
    narrowing: readNarrowing(narrowing),
    order: isOrder(order) ? order : 'first',
  };
}

function isOrder(given: unknown): given is ShiftOrder {
  return shiftOrders.some((each) => each === given);
}

/** Back to all work, in the order in which it should be done. */
export function forgetShiftChoice(): void {
  useShiftChoice.getState().choose(allWork);
}

/** Shows what is planned or due on a day. */
export function showDay(day: LocalDay): void {
  useShiftChoice.getState().choose({ ...allWork, narrowing: { ...everything, time: [day] } });
}

/** Whether the list shows all work there is, in whatever order. */
export function showsAll({ find, narrowing }: Shown): boolean {
  return find === '' && !isNarrowed(narrowing);
}

/** What the list was narrowed to, under the name that the person gave it. */
export interface KeptView {
  readonly name: string;
  readonly shown: Shown;
}

/** So many are kept. */
const MOST_VIEWS = 12;

/** The views that the person keeps, the oldest first. */
export const useKeptViews = keptChoice<readonly KeptView[]>('oilcan.shift-views', [], {
  read: (kept) =>
    Array.isArray(kept)
      ? kept.flatMap((each: unknown): KeptView[] => {
          if (typeof each !== 'object' || each === null) return [];
          const { name, shown } = each as Readonly<Record<string, unknown>>;
          return typeof name === 'string' && name !== '' ? [{ name, shown: readShown(shown) }] : [];
        })
      : [],
  isPersonal: true,
});

/** Keeps what is shown under a name; another of this name goes. */
export function keepView(name: string, shown: Shown): void {
  const { value, choose } = useKeptViews.getState();
  choose([...value.filter((each) => each.name !== name), { name, shown }].slice(-MOST_VIEWS));
}

export function forgetView(name: string): void {
  const { value, choose } = useKeptViews.getState();
  choose(value.filter((each) => each.name !== name));
}

import { create } from 'zustand';
import { keepTable, peekKeptTable, readTable, type KeptTable } from '../../../ui/state/kept-tables';
import { useCallback, useMemo } from 'react';
import { isLocalDay, localDate, type LocalDay, type Zone } from '@oilcan/core/kernel';
import { now } from '../../../data/store/store';
import { useNow } from '../../../data/store/use-now';
import { keptChoice, onForget } from '../../../ui/state/kept-choice';
import { everything, isNarrowed, readNarrowing } from './narrowing';
import { shiftOrders, type ShiftOrder, type Shown } from './shift-list';

export const allWork: Shown = { narrowing: everything, order: 'first' };

/** What is shown of the work, and on which day that was chosen. */
interface ShownOn {
  readonly shown: Shown;
  readonly day: LocalDay | null;
}

const allOfIt: ShownOn = { shown: allWork, day: null };

/** What the Shift list shows of the work. */
const useShownOn = keptChoice<ShownOn>('oilcan.shift', allOfIt, {
  read: (kept) => {
    if (typeof kept !== 'object' || kept === null) return allOfIt;
    const { shown, day } = kept as Readonly<Record<string, unknown>>;
    return { shown: readShown(shown), day: typeof day === 'string' && isLocalDay(day) ? day : null };
  },
  isPersonal: true,
});

/** What the list shows today. What hid rows yesterday hides none today: only the order is kept from day to day. */
export function shownToday({ shown, day }: ShownOn, today: LocalDay): Shown {
  return day === today || showsAll(shown) ? shown : { ...allWork, order: shown.order };
}

const today = (zone: Zone): LocalDay => localDate(now(), zone);

/** What the Shift list shows, and how that is changed. */
export function useShiftChoice(zone: Zone): { readonly shown: Shown; readonly choose: (shown: Shown) => void } {
  const kept = useShownOn(({ value }) => value);
  const day = localDate(useNow(60), zone);
  const shown = useMemo(() => shownToday(kept, day), [kept, day]);
  const choose = useCallback((next: Shown) => useShownOn.getState().choose({ shown: next, day: today(zone) }), [zone]);
  return { shown, choose };
}

function readShown(kept: unknown): Shown {
  if (typeof kept !== 'object' || kept === null) return allWork;
  const { narrowing, order } = kept as Readonly<Record<string, unknown>>;
  return {
    narrowing: readNarrowing(narrowing),
    order: isOrder(order) ? order : 'first',
  };
}

function isOrder(given: unknown): given is ShiftOrder {
  return shiftOrders.some((each) => each === given);
}

/** Back to all work, in the order in which it should be done. */
export function forgetShiftChoice(): void {
  useShownOn.getState().choose(allOfIt);
}

/** Shows what is planned or due on a day. */
export function showDay(day: LocalDay, zone: Zone): void {
  useShownOn.getState().choose({ shown: { ...allWork, narrowing: { ...everything, time: [day] } }, day: today(zone) });
}

/** Whether the list shows all work there is, in whatever order. */
export function showsAll({ narrowing }: Shown): boolean {
  return !isNarrowed(narrowing);
}

/** What somebody looks for on Shift; gone when Oilcan is opened anew. */
export const useFindText = create<{
  readonly typed: string;
  /** For which words Enter was pressed: the first that they find is opened as soon as it stands in the list. */
  readonly entered: string | null;
  readonly type: (typed: string) => void;
  readonly enter: () => void;
  readonly forgetEntered: () => void;
}>((set) => ({
  typed: '',
  entered: null,
  type: (typed) => set({ typed, entered: null }),
  enter: () => set(({ typed }) => ({ entered: typed })),
  forgetEntered: () => set({ entered: null }),
}));

onForget(() => useFindText.getState().type(''));

/** What the list was narrowed to, under the name that the person gave it. */
export interface KeptView {
  readonly name: string;
  readonly shown: Shown;
  /** Which columns the table of work has in it, and by which it is sorted; null where nobody chose. */
  readonly table: KeptTable | null;
}

/** The table of work, by its name among the kept ones. */
export const WORK_TABLE = 'work';

/** So many are kept. */
const MOST_VIEWS = 12;

/** The views that the person keeps, the oldest first. */
export const useKeptViews = keptChoice<readonly KeptView[]>('oilcan.shift-views', [], {
  read: (kept) =>
    Array.isArray(kept)
      ? kept.flatMap((each: unknown): KeptView[] => {
          if (typeof each !== 'object' || each === null) return [];
          const { name, shown, table } = each as Readonly<Record<string, unknown>>;
          if (typeof name !== 'string' || name === '') return [];
          return [{ name, shown: readShown(shown), table: table == null ? null : readTable(table) }];
        })
      : [],
  isPersonal: true,
});

/** Keeps what is shown under a name, with the columns of its table; another of this name goes. */
export function keepView(name: string, shown: Shown): void {
  const { value, choose } = useKeptViews.getState();
  choose(
    [...value.filter((each) => each.name !== name), { name, shown, table: peekKeptTable(WORK_TABLE) }].slice(
      -MOST_VIEWS,
    ),
  );
}

/** Brings the columns of a kept view back; what it shows is for the page to show. */
export function openView({ shown, table }: KeptView): Shown {
  if (table !== null) keepTable(WORK_TABLE, table);
  return shown;
}

export function forgetView(name: string): void {
  const { value, choose } = useKeptViews.getState();
  choose(value.filter((each) => each.name !== name));
}

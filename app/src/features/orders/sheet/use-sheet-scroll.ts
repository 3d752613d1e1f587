import { useCallback, useMemo, useRef, useState, type RefObject } from 'react';
import type { NativeScrollEvent, NativeSyntheticEvent, ScrollView, ScrollViewProps } from 'react-native';
import { useKeptScroll } from '../../frame/page/use-kept-scroll';
import type { SheetPart } from './parts';

/** What is brought into sight comes to lie so far below the upper edge. */
const WITH_WHAT_IS_ABOVE = 96;
/** The dock is so much lower while somebody reads. */
const FOLDS = 80;
/** Scrolling by less than this was not meant. */
const MEANT = 6;
/** So far down what is in sight, as a share of its height, lies the line that somebody reads. */
const READ_AT = 0.4;

type Placed = (element: HTMLElement | null) => void;

export interface SheetScroll {
  /** The scroll of the sheet, and that of what stands beside it on a broad screen. */
  readonly scroller: RefObject<ScrollView | null>;
  readonly beside: RefObject<ScrollView | null>;
  /** For the scroll of the sheet. */
  readonly props: Partial<ScrollViewProps>;
  /** Tells where each part of the sheet stands. */
  readonly place: Readonly<Record<SheetPart, Placed>>;
  /** The part that is read now. */
  readonly current: SheetPart;
  /** Whether somebody scrolls down to read, until they touch the dock or scroll back. */
  readonly isReading: boolean;
  readonly stopReading: () => void;
  readonly goTo: (part: SheetPart) => void;
  /** Scrolls to an element of this sheet and gives it the focus. */
  readonly bringIntoSight: (elementId: string) => void;
  readonly focus: () => void;
}

/** Where somebody is on a work order, and how they come to another part of it. */
export function useSheetScroll(workOrderId: string, first: SheetPart): SheetScroll {
  const scroller = useRef<ScrollView>(null);
  const beside = useRef<ScrollView>(null);
  const elements = useRef<Partial<Record<SheetPart, HTMLElement | null>>>({});
  const scrolledTo = useRef(0);
  const scrolledHeight = useRef(0);
  const kept = useKeptScroll(`/shift/${workOrderId}`, scroller);
  const [isReading, setIsReading] = useState(false);
  const [current, setCurrent] = useState(first);

  const place = useMemo(() => {
    const on = (part: SheetPart) => (element: HTMLElement | null) => void (elements.current[part] = element);
    return { prepare: on('prepare'), work: on('work'), wrapUp: on('wrapUp') };
  }, []);
  const goTo = useCallback((part: SheetPart): void => {
    if (part === 'prepare') return scrollTo(beside.current ?? scroller.current, 0);
    scrollTo(scroller.current, topOf(elements.current[part], scroller.current) ?? 0);
  }, []);
  const bringIntoSight = (elementId: string): void => {
    // Two jobs may be open side by side: what is looked for is in this one.
    const found = (of: ScrollView | null): HTMLElement | null =>
      scrollFrame(of)?.querySelector<HTMLElement>(`#${CSS.escape(elementId)}`) ?? null;
    const within = found(beside.current) === null ? scroller.current : beside.current;
    const element = found(within);
    const top = topOf(element, within);
    if (element === null || top === null) return;
    scrollTo(within, Math.max(0, top - WITH_WHAT_IS_ABOVE));
    element.querySelector<HTMLElement>('[role]:not([role=radiogroup])')?.focus({ preventScroll: true });
  };
  const partAt = ({ contentOffset, layoutMeasurement, contentSize }: NativeScrollEvent): SheetPart => {
    const line = contentOffset.y + layoutMeasurement.height * READ_AT;
    const isAtFoot = contentOffset.y + layoutMeasurement.height >= contentSize.height - 4 && contentOffset.y > 0;
    const isPast = (part: SheetPart): boolean =>
      line >= (topOf(elements.current[part], scroller.current) ?? Number.POSITIVE_INFINITY);
    return isAtFoot || isPast('wrapUp') ? 'wrapUp' : isPast('work') ? 'work' : 'prepare';
  };
  const onScroll = (event: NativeSyntheticEvent<NativeScrollEvent>): void => {
    kept.onScroll(event);
    const { contentOffset, layoutMeasurement, contentSize } = event.nativeEvent;
    const moved = contentOffset.y - scrolledTo.current;
    scrolledTo.current = contentOffset.y;
    // A row that came in above moves the page too, and nobody meant that.
    const hasGrown = contentSize.height !== scrolledHeight.current;
    scrolledHeight.current = contentSize.height;
    // At the foot the fold itself would scroll the page.
    const isNearFoot = contentSize.height - contentOffset.y - layoutMeasurement.height < FOLDS;
    if (!isNearFoot && !hasGrown && Math.abs(moved) >= MEANT) setIsReading(moved > 0 && contentOffset.y > FOLDS);
    setCurrent(partAt(event.nativeEvent));
  };
  return {
    scroller,
    beside,
    props: { ...kept, onScroll, scrollEventThrottle: 64 },
    place,
    current,
    isReading,
    stopReading: useCallback(() => setIsReading(false), []),
    goTo,
    bringIntoSight,
    focus: () => {
      const node = scrollFrame(scroller.current);
      node?.setAttribute('tabindex', '-1');
      node?.focus();
    },
  };
}

function scrollTo(scroller: ScrollView | null, y: number): void {
  const animated = !globalThis.matchMedia('(prefers-reduced-motion: reduce)').matches;
  scroller?.scrollTo({ y, animated });
}

/** What scrolls, in the page. */
function scrollFrame(scroller: ScrollView | null): HTMLElement | null {
  return (scroller?.getScrollableNode() as HTMLElement | undefined) ?? null;
}

/** How far down an element lies. Asked for whenever it is needed: what comes in above it moves it. */
function topOf(element: HTMLElement | null | undefined, scroller: ScrollView | null): number | null {
  const frame = scrollFrame(scroller);
  if (frame === null || element === null || element === undefined) return null;
  return element.getBoundingClientRect().top - frame.getBoundingClientRect().top + frame.scrollTop;
}

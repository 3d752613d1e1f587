import { useCallback, useEffect, useRef, type RefObject } from 'react';
import type { NativeScrollEvent, NativeSyntheticEvent } from 'react-native';
import { depthOf, keepDepth } from './trail';

/** A list or a view that scrolls. */
interface Scroller {
  getScrollableNode: () => unknown;
}

interface KeptScroll {
  readonly onScroll: (event: NativeSyntheticEvent<NativeScrollEvent>) => void;
  readonly onContentSizeChange: () => void;
}

/** A view of which nothing more has come for so long is whole. */
const WHOLE_AFTER_MS = 2_000;
/** By these a person takes over. */
const inputs = ['pointerdown', 'touchstart', 'wheel', 'keydown'] as const;

/**
 * Comes back to where a view was scrolled to when something else was opened from it. Rows and answers that come later are
 * waited for, also those further up, which would push away what was looked at; but whoever touches anything goes on from where
 * they are.
 *
 * @param address the view's own
 */
export function useKeptScroll(address: string, scroller: RefObject<Scroller | null>): KeptScroll {
  const goal = useRef(depthOf(address));
  const whole = useRef<ReturnType<typeof setTimeout>>(undefined);
  const arrive = useCallback((): void => {
    goal.current = 0;
    clearTimeout(whole.current);
    inputs.forEach((input) => document.removeEventListener(input, arrive, true));
    const node = nodeOf(scroller);
    if (node !== null) node.style.overflowAnchor = '';
  }, [scroller]);
  useEffect(() => {
    if (goal.current === 0) return;
    inputs.forEach((input) => document.addEventListener(input, arrive, true));
    return arrive;
  }, [arrive]);
  return {
    onScroll: ({ nativeEvent: { contentOffset } }) => {
      if (goal.current === 0) keepDepth(address, contentOffset.y);
    },
    onContentSizeChange: () => {
      const node = nodeOf(scroller);
      if (goal.current === 0 || node === null) return;
      // Else the browser holds on to whatever is in sight for the moment.
      node.style.overflowAnchor = 'none';
      node.scrollTop = goal.current;
      clearTimeout(whole.current);
      whole.current = setTimeout(arrive, WHOLE_AFTER_MS);
    },
  };
}

function nodeOf(scroller: RefObject<Scroller | null>): HTMLElement | null {
  const node = scroller.current?.getScrollableNode();
  return node instanceof HTMLElement ? node : null;
}

import { useRef, type RefObject } from 'react';
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

/**
 * Comes back to where a view was scrolled to when something else was opened from it. Rows that are drawn only when they come
 * into sight are waited for.
 *
 * @param address the view's own
 */
export function useKeptScroll(address: string, scroller: RefObject<Scroller | null>): KeptScroll {
  const goal = useRef(depthOf(address));
  const reached = useRef(0);
  return {
    onScroll: ({ nativeEvent: { contentOffset } }) => {
      // Who scrolls on while rows are still waited for goes where they want.
      if (Math.abs(contentOffset.y - reached.current) > 1) goal.current = 0;
      if (goal.current === 0) keepDepth(address, contentOffset.y);
    },
    onContentSizeChange: () => {
      const node = scroller.current?.getScrollableNode();
      if (goal.current === 0 || !(node instanceof HTMLElement)) return;
      node.scrollTop = goal.current;
      reached.current = node.scrollTop;
      if (reached.current >= goal.current - 1) goal.current = 0;
    },
  };
}

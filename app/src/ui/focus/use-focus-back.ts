import { useLayoutEffect, useState } from 'react';
import { returnFocusTo } from './keep-focus';

/**
 * After what opened over the screen is closed, the focus is where it was before, or at the screen's content where that is there no
 * more: what was pressed may have gone with what it did. Where something else has opened meanwhile, it stays there.
 */
export function useFocusBack(): void {
  const [before] = useState(() => document.activeElement);
  useLayoutEffect(() => () => returnFocusTo(before), [before]);
}

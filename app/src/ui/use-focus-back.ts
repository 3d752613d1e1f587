import { useEffect, useState } from 'react';
import { focusMain } from './focus-main';

/**
 * After what opened over the screen is closed, the focus is where it was before, or at the screen's content where that is there no
 * more: what was pressed may have gone with what it did. Where something else has opened meanwhile, it stays there.
 */
export function useFocusBack(): void {
  const [before] = useState(() => document.activeElement);
  useEffect(
    () => () => {
      setTimeout(() => {
        const { activeElement } = document;
        if (activeElement !== null && activeElement !== document.body) return;
        if (before instanceof HTMLElement && before.isConnected && before !== document.body) {
          before.focus({ preventScroll: true });
        } else focusMain();
      });
    },
    [before],
  );
}

import { usePathname } from 'expo-router';
import { useEffect } from 'react';
import { focusMain } from '../../ui/focus-main';

/** A screen that was just gone to needs so long to be there. */
const DRAWN_MILLISECONDS = 150;

/**
 * After another screen was gone to, and what was pressed is there no more, the focus is at the screen's content and not at the
 * beginning of the page. Where it was moved meanwhile, or stands on what is still there, it stays.
 */
export function useFocusAfterGoing(): void {
  const path = usePathname();
  useEffect(() => {
    const timer = setTimeout(() => {
      if (document.activeElement === null || document.activeElement === document.body) focusMain();
    }, DRAWN_MILLISECONDS);
    return () => clearTimeout(timer);
  }, [path]);
}

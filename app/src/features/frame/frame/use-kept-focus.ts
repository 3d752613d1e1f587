import { usePathname } from 'expo-router';
import { useEffect } from 'react';
import { keepFocus, watchFocus } from '../../../ui/focus/keep-focus';

/** Wherever is gone, and whatever goes with what it did: the focus stays where its person is. */
export function useKeptFocus(): void {
  const path = usePathname();
  useEffect(keepFocus, []);
  useEffect(watchFocus, [path]);
}

import { useEffect, useState } from 'react';
import type { Instant } from '@oilcan/core/kernel';
import { now } from './store';

/** The present, renewed every so many seconds. */
export function useNow(everySeconds: number): Instant {
  const [present, setPresent] = useState(now);
  useEffect(() => {
    const timer = setInterval(() => setPresent(now()), everySeconds * 1000);
    return () => clearInterval(timer);
  }, [everySeconds]);
  return present;
}

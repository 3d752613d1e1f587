import { useEffect, useState } from 'react';

/** What stands below the first screen may wait so long, so that nothing of it is in the way of what is above. */
const SETTLED_MILLISECONDS = 1_200;

/** Whether a screen has stood for a while. */
export function useIsSettled(): boolean {
  const [isSettled, setIsSettled] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setIsSettled(true), SETTLED_MILLISECONDS);
    return () => clearTimeout(timer);
  }, []);
  return isSettled;
}

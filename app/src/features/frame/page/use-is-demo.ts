import { useEffect } from 'react';
import { httpLink } from '../../../data/server/http-link';
import { keptChoice } from '../../../ui/state/kept-choice';

const useKept = keptChoice('oilcan-demo', false, { read: (kept) => kept === true, isPersonal: false });

/** Whether this server is the demo, as it last said; known without signal too. Only there simulated devices are offered. */
export function useIsDemo(): boolean {
  useEffect(() => {
    httpLink.about().then(
      ({ demo }) => useKept.getState().choose(demo !== null),
      () => undefined,
    );
  }, []);
  return useKept((state) => state.value);
}

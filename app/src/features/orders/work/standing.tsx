import { whoIsOn } from '@oilcan/core/recording/labor';
import type { WorkOrder } from '@oilcan/core/orders/work';
import type { ReactElement } from 'react';
import { peekRow, useRows } from '../../../data/store/store';
import { useMe } from '../../../data/store/use-me';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { stateOf } from '../../../words/work-words';

/** How work stands: of work underway who is on it now; of work that is ready nothing is said. */
function useStanding(work: WorkOrder): { readonly words: string; readonly isMine: boolean } | null {
  const me = useMe();
  const clocks = useRows('clocks', 'workOrder', work.id);
  if (work.handedBack === null && work.state === 'ready') return null;
  if (work.handedBack !== null || work.state !== 'underway') return { words: stateOf(work), isMine: false };
  const on = whoIsOn(clocks, me);
  switch (on.is) {
    case 'me':
      return { words: 'my clock runs', isMine: true };
    case 'others': {
      const [first, ...more] = on.personIds.map((id) => peekRow('people', id)?.name ?? 'a mate');
      return {
        words: more.length === 0 ? `${first} is on it` : `${first} and ${more.length} more are on it`,
        isMine: false,
      };
    }
    case 'nobody':
      return { words: 'underway, nobody on it now', isMine: false };
  }
}

/** The same on a row; brass where my clock runs. */
export function StandingMark({ work }: { readonly work: WorkOrder }): ReactElement | null {
  const palette = usePalette();
  const standing = useStanding(work);
  if (standing === null) return null;
  return (
    <AppText as="label" {...(standing.isMine ? { color: palette.brass } : {})}>
      {standing.words}
    </AppText>
  );
}

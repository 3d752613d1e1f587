import { useState, type ReactElement } from 'react';
import { mdiAccountMultipleOutline, mdiPause } from '@mdi/js';
import { runningClocks } from '@oilcan/core/recording/labor';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { useRow, useRows } from '../../../data/store/store';
import { useMe } from '../../../data/store/use-me';
import { performOrSay } from '../../../data/store/use-operation';
import { lazyComponent } from '../../../ui/loading/lazy-component';
import { SmallKey } from '../../../ui/press/small-key';
import { useCommand } from '../../frame/keys/commands';

const MatesSheet = lazyComponent(() => import('./mates-sheet').then((module) => module.MatesSheet));

/** Loads what it opens, so that it opens without signal too. */
export const loadMatesSheet = MatesSheet.load;

/** Beside the clock: a break, and the clocks of mates. */
export function ClockLine({ work }: { readonly work: WorkOrder }): ReactElement {
  const me = useMe();
  const clock = useRow('clocks', me);
  const clocks = useRows('clocks', 'workOrder', work.id);
  const [isAsking, setIsAsking] = useState(false);
  const runs = clock?.workOrderId === work.id && clock.isPaused !== true;
  const pause = (): void => void performOrSay('clock.pause', { workOrderId: work.id });
  useCommand('pause', () => {
    if (runs) pause();
  });
  const ofMates = runningClocks(clocks).filter(({ id }) => id !== me).length;
  return (
    <>
      {runs ? <SmallKey icon={mdiPause} word="Break" label="Break: pause my clock" onPress={pause} /> : null}
      <SmallKey
        icon={mdiAccountMultipleOutline}
        word={ofMates === 0 ? 'Others’ clocks' : `Others’ clocks ${ofMates}`}
        label={ofMates === 0 ? 'Others’ clocks' : `Mates ${ofMates}: their clocks`}
        onPress={() => setIsAsking(true)}
      />
      {isAsking ? <MatesSheet work={work} onClose={() => setIsAsking(false)} /> : null}
    </>
  );
}

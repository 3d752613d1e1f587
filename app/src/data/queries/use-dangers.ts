import { useEffect, useState } from 'react';
import { dangersOf, type Dangers } from '@oilcan/core/orders/hazards';
import type { Asset } from '@oilcan/core/plant/plant';
import { phoneRecords, useRows } from '../store/store';

/** What endangers whoever works on a machine, as its work orders have it; null until it is looked up, and without a machine. */
export function useDangers(asset: Asset | undefined): Dangers | null {
  const registers = useRows('hazardRegister', 'site', asset?.siteId);
  const works = useRows('workOrders', 'openOn', asset?.id);
  const [found, setFound] = useState<{ readonly of: Asset; readonly dangers: Dangers } | null>(null);
  useEffect(() => {
    if (asset === undefined) return;
    let isWanted = true;
    void dangersOf(phoneRecords(), asset).then((dangers) => isWanted && setFound({ of: asset, dangers }));
    return () => void (isWanted = false);
  }, [asset, registers, works]);
  return found !== null && found.of === asset ? found.dangers : null;
}

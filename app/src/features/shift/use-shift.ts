import { useMemo } from 'react';
import { byId, type Instant } from '@oilcan/core/kernel';
import type { Person } from '@oilcan/core/people';
import type { Asset } from '@oilcan/core/plant';
import type { Settings } from '@oilcan/core/settings';
import { usePhone, useSettings, useTable } from '../../data/store';
import { useNow } from '../../data/use-now';
import { onSite, useSite } from '../page/use-site';
import { choicesAmong, type AspectChoices, type Narrowing } from './narrowing';
import { listedWork, sectionsAmong, type ShiftSection } from './shift-list';

interface Shift {
  readonly person: Person;
  readonly settings: Settings;
  readonly present: Instant;
  readonly assets: ReadonlyMap<string, Asset>;
  readonly sections: readonly ShiftSection[];
  /** What there is to narrow the list by. */
  readonly among: readonly AspectChoices[];
}

/** The person's list as it stands; null until the phone has rows. */
export function useShift(find: string, narrowing: Narrowing): Shift | null {
  const present = useNow(30);
  const settings = useSettings();
  const site = useSite();
  const person = usePhone((state) => state.person);
  const workOrders = useTable('workOrders');
  const assetRows = useTable('assets');
  const placeRows = useTable('places');
  const crewRows = useTable('crews');
  const partRows = useTable('parts');
  const shares = useTable('shares');
  const assets = useMemo(() => byId(assetRows), [assetRows]);
  const places = useMemo(() => byId(placeRows), [placeRows]);
  const crews = useMemo(() => byId(crewRows), [crewRows]);
  const parts = useMemo(() => byId(partRows), [partRows]);
  const rows = useMemo(
    () => ({ workOrders: onSite(workOrders, site), assets, places, crews, parts, shares }),
    [workOrders, site, assets, places, crews, parts, shares],
  );
  const listed = useMemo(
    () => (settings === undefined || person === null ? null : listedWork(rows, person, present, settings)),
    [rows, person, present, settings],
  );
  const among = useMemo(() => {
    if (settings === undefined || listed === null) return [];
    const works = listed.map(({ work }) => work);
    return choicesAmong(works, narrowing, {
      trade: (id) => settings.trades.find((trade) => trade.id === id)?.name,
      place: (id) => places.get(id)?.name,
    });
  }, [listed, settings, narrowing, places]);
  return useMemo(() => {
    if (settings === undefined || person === null || listed === null) return null;
    return { person, settings, present, assets, sections: sectionsAmong(listed, find, narrowing), among };
  }, [listed, person, settings, present, assets, among, find, narrowing]);
}

import { useMemo } from 'react';
import { byId, isLocalDay, type Instant } from '@oilcan/core/kernel';
import type { Person } from '@oilcan/core/plant/people';
import type { Asset } from '@oilcan/core/plant/plant';
import type { Settings } from '@oilcan/core/orders/settings';
import { usePhone, useSettings, useTable } from '../../../data/store/store';
import { useNow } from '../../../data/store/use-now';
import { onSite, useSite } from '../../frame/page/use-site';
import { sayLocalDay } from '../../../words/dates';
import { choicesAmong, type AspectChoices } from './narrowing';
import { listedWork, once, sectionsAmong, type Listed, type ShiftSection, type Shown } from './shift-list';

export interface Shift {
  readonly person: Person;
  readonly settings: Settings;
  readonly present: Instant;
  readonly assets: ReadonlyMap<string, Asset>;
  /** All of it, in the order in which it should be done. */
  readonly listed: readonly Listed[];
  /** What of it is shown. */
  readonly sections: readonly ShiftSection[];
  /** What there is to narrow the list by; worked out when somebody asks. */
  readonly among: () => readonly AspectChoices[];
}

/** The person's list as it stands; null until the phone has rows. */
export function useShift(shown: Shown): Shift | null {
  const present = useNow(30);
  const settings = useSettings();
  const site = useSite();
  const person = usePhone((state) => state.person);
  const workOrders = useTable('workOrders');
  const assetRows = useTable('assets');
  const placeRows = useTable('places');
  const crewRows = useTable('crews');
  const shares = useTable('shares');
  const assets = useMemo(() => byId(assetRows), [assetRows]);
  const places = useMemo(() => byId(placeRows), [placeRows]);
  const crews = useMemo(() => byId(crewRows), [crewRows]);
  const rows = useMemo(
    () => ({ workOrders: onSite(workOrders, site), assets, places, crews, shares }),
    [workOrders, site, assets, places, crews, shares],
  );
  const listed = useMemo(
    () => (settings === undefined || person === null ? null : listedWork(rows, person, present, settings)),
    [rows, person, present, settings],
  );
  const among = useMemo(() => {
    const works = listed?.map(({ work }) => work) ?? [];
    return once(() =>
      settings === undefined
        ? []
        : choicesAmong(
            works,
            shown.narrowing,
            {
              trade: (id) => settings.trades.find((trade) => trade.id === id)?.name,
              place: (id) => places.get(id)?.name,
              day: (day) =>
                isLocalDay(day) ? upperFirst(sayLocalDay(day, present, settings.zone, settings.language)) : day,
            },
            { now: present, zone: settings.zone },
          ),
    );
  }, [listed, settings, shown.narrowing, places, present]);
  return useMemo(() => {
    if (settings === undefined || person === null || listed === null) return null;
    const sections = sectionsAmong(listed, shown, { now: present, zone: settings.zone });
    return { person, settings, present, assets, listed, sections, among };
  }, [listed, person, settings, present, assets, among, shown]);
}

const upperFirst = (text: string): string => text.slice(0, 1).toUpperCase() + text.slice(1);

import { useMemo } from 'react';
import type { Asset, Instant, Person, Settings } from '@oilcan/core';
import { usePhone, useSettings, useTable } from '../../data/store';
import { useNow } from '../../ui/use-now';
import { shiftSections, type ShiftSection } from './shift-list';

const byId = <Row extends { readonly id: string }>(rows: readonly Row[]): ReadonlyMap<string, Row> =>
  new Map(rows.map((row) => [row.id, row]));

interface Shift {
  readonly person: Person;
  readonly settings: Settings;
  readonly present: Instant;
  readonly assets: ReadonlyMap<string, Asset>;
  readonly sections: readonly ShiftSection[];
}

/** The person's list as it stands; null until the phone has rows. */
export function useShift(find: string): Shift | null {
  const present = useNow(30);
  const settings = useSettings();
  const person = usePhone((state) => state.person);
  const workOrders = useTable('workOrders');
  const assetRows = useTable('assets');
  const placeRows = useTable('places');
  const crewRows = useTable('crews');
  const assets = useMemo(() => byId(assetRows), [assetRows]);
  const places = useMemo(() => byId(placeRows), [placeRows]);
  const crews = useMemo(() => byId(crewRows), [crewRows]);
  return useMemo(() => {
    if (settings === undefined || person === null) return null;
    const sections = shiftSections({ workOrders, assets, places, crews }, person, present, settings, find);
    return { person, settings, present, assets, sections };
  }, [workOrders, assets, places, crews, person, present, settings, find]);
}

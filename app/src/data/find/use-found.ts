import { useEffect, useMemo, useState } from 'react';
import {
  findableAsset,
  findablePart,
  findablePlace,
  findableProcedure,
  findableReport,
  findableWork,
  type FoundWork,
  type NamesToFind,
} from '@oilcan/core/overview/find';
import { OilcanError } from '@oilcan/core/kernel';
import type { Asset, Place } from '@oilcan/core/plant/plant';
import type { Procedure } from '@oilcan/core/steps/procedures';
import type { Report } from '@oilcan/core/raising/reports';
import { SETTINGS_ID } from '@oilcan/core/orders/settings';
import type { Part } from '@oilcan/core/stores/stock';
import { isOpen, type WorkOrder } from '@oilcan/core/orders/work';
import { httpLink } from '../server/http-link';
import { Unreachable } from '../server/server-link';
import { peekAll, peekRow, usePhone, useTable } from '../store/store';
import { KeptFinder } from './kept-finder';

const names: NamesToFind = {
  asset: (id) => peekRow('assets', id),
  place: (id) => peekRow('places', id),
  person: (id) => peekRow('people', id),
  crew: (id) => peekRow('crews', id),
  part: (id) => peekRow('parts', id),
  trade: (tradeId) => peekRow('settings', SETTINGS_ID)?.trades.find(({ id }) => id === tradeId)?.name,
};

const jobs = new KeptFinder<WorkOrder>((work) => findableWork(work, names));
const machines = new KeptFinder<Asset>((asset) => findableAsset(asset, names));
const places = new KeptFinder<Place>(findablePlace);
const parts = new KeptFinder<Part>(findablePart);
const procedures = new KeptFinder<Procedure>(findableProcedure);
const reports = new KeptFinder<Report>((report) => findableReport(report, names));

const namesOfJobs = (): readonly unknown[] =>
  (['assets', 'places', 'people', 'crews', 'parts', 'settings'] as const).map((table) => peekAll(table));

/** Makes everything findable ahead, bit by bit, while somebody turns to the field: the first letter waits for nothing. */
export function prepareFinding(): void {
  void (async () => {
    await jobs.prepare(peekAll('workOrders'), namesOfJobs());
    await prepareFindingMachines();
    await parts.prepare(peekAll('parts'), []);
    await places.prepare(peekAll('places'), []);
    await reports.prepare(peekAll('reports'), [peekAll('assets')]);
  })();
}

/** The same for machines alone. */
export function prepareFindingMachines(): Promise<void> {
  return machines.prepare(peekAll('assets'), [peekAll('places')]);
}

/** Jobs of this phone by any of their words, those of the person first among equally likely ones. */
export function useFoundJobs(typed: string, most: number): readonly WorkOrder[] {
  const works = useTable('workOrders');
  const me = usePhone((state) => state.person?.id);
  return useMemo(() => {
    if (typed.trim() === '') return [];
    jobs.sync(works, namesOfJobs());
    return jobs.find(typed, most, ({ state, personIds }) =>
      isOpen(state) ? (personIds.some((id) => id === me) ? 1 : 0.5) : 0,
    );
  }, [typed, most, works, me]);
}

/** Machines by any of their words, of those that are given only. */
export function useFoundAssets(typed: string, most: number, among?: readonly Asset[]): readonly Asset[] {
  const all = useTable('assets');
  const allPlaces = useTable('places');
  return useMemo(() => {
    if (typed.trim() === '') return [];
    machines.sync(all, [allPlaces]);
    if (among === undefined || among.length === all.length) return machines.find(typed, most);
    const wanted = new Set(among);
    return machines
      .find(typed, all.length)
      .filter((asset) => wanted.has(asset))
      .slice(0, most);
  }, [typed, most, all, allPlaces, among]);
}

export function useFoundPlaces(typed: string, most: number): readonly Place[] {
  const rows = useTable('places');
  return useMemo(() => {
    if (typed.trim() === '') return [];
    places.sync(rows, []);
    return places.find(typed, most);
  }, [typed, most, rows]);
}

export function useFoundParts(typed: string, most: number): readonly Part[] {
  const rows = useTable('parts');
  return useMemo(() => {
    if (typed.trim() === '') return [];
    parts.sync(rows, []);
    return parts.find(typed, most);
  }, [typed, most, rows]);
}

/** Procedures by any of their words and steps, of those that are given only; as they are given where nothing is typed. */
export function useFoundProcedures(typed: string, most: number, among: readonly Procedure[]): readonly Procedure[] {
  const rows = useTable('procedures');
  return useMemo(() => {
    if (typed.trim() === '') return among.slice(0, most);
    procedures.sync(rows, []);
    const wanted = new Set(among);
    return procedures
      .find(typed, rows.length)
      .filter((each) => wanted.has(each))
      .slice(0, most);
  }, [typed, most, rows, among]);
}

export function useFoundReports(typed: string, most: number): readonly Report[] {
  const rows = useTable('reports');
  const assets = useTable('assets');
  return useMemo(() => {
    if (typed.trim() === '') return [];
    reports.sync(rows, [assets]);
    return reports.find(typed, most, ({ state }) => Number(state === 'waiting'));
  }, [typed, most, rows, assets]);
}

/** What the server found besides: nothing yet, its answer, or why there is none. */
export type FoundThere =
  | { readonly is: 'asking' | 'without signal' | 'nothing asked' }
  | { readonly is: 'here'; readonly works: readonly FoundWork[] };

/** Nobody is asked while somebody types on. */
const PAUSE_MILLISECONDS = 250;

/** Jobs that the server knows by these words and this phone does not have. */
export function useFoundThere(typed: string): FoundThere {
  const words = typed.trim();
  const isReached = usePhone((state) => state.contact === 'reached');
  const [found, setFound] = useState<{ readonly words: string; readonly there: FoundThere } | null>(null);
  useEffect(() => {
    if (words === '') return undefined;
    let isOver = false;
    const set = (there: FoundThere): void => {
      if (!isOver) setFound({ words, there });
    };
    const timer = setTimeout(() => {
      httpLink.find(words).then(
        ({ works }) => set({ is: 'here', works: works.filter(({ id }) => peekRow('workOrders', id) === undefined) }),
        (error: unknown) => {
          if (error instanceof OilcanError) set({ is: 'here', works: [] });
          else if (error instanceof Unreachable) set({ is: 'without signal' });
          else throw error;
        },
      );
    }, PAUSE_MILLISECONDS);
    return () => {
      isOver = true;
      clearTimeout(timer);
    };
  }, [words, isReached]);
  if (words === '') return { is: 'nothing asked' };
  return found?.words === words ? found.there : { is: 'asking' };
}

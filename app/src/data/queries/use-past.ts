import { useEffect, useMemo, useState } from 'react';
import { OilcanError, type AssetId } from '@oilcan/core/kernel';
import type { JobLike, PastOf, StopMachine } from '@oilcan/core/past/past';
import { idsWithin } from '@oilcan/core/plant/plant';
import type { Stop } from '@oilcan/core/steps/rounds';
import { isOpen, type WorkOrder } from '@oilcan/core/orders/work';
import { httpLink } from '../server/http-link';
import { Unreachable } from '../server/server-link';
import { now, peekRow, peekRows, usePhone, useRow, useTable } from '../store/store';
import { cachedPast, cachePast } from '../past/past-cache';
import { isAsRead, isSamePast, lastRead, questionKey, rememberRead } from '../past/last-read';
import { prepareToRead, readPast, type OpenOfPast, type PastSaid, type ReadPast } from '../past/read-past';

export type Past =
  | { readonly is: 'reading' }
  /** `whole`: with its rows, null while they are on their way. `isOld`: as this phone had it, because there is no signal. */
  | { readonly is: 'here'; readonly said: PastSaid; readonly whole: ReadPast | null; readonly isOld: boolean }
  | { readonly is: 'without signal' }
  | { readonly is: 'refused'; readonly why: OilcanError }
  | { readonly is: 'damaged' };

type Text = { readonly text: string; readonly isOld: boolean } | Exclude<Past, { is: 'here' }>;

/**
 * One past, as long as it is drawn: what this phone has of it at once, and then what the server says. It is read anew when
 * work that belongs to it ends or changes here.
 */
export function usePast({ scope, id }: PastOf, like: JobLike | null = null): Past {
  const of = useMemo(() => ({ scope, id }) as PastOf, [scope, id]);
  const [text, setText] = useState<Text>({ is: 'reading' });
  const key = questionKey(of, like);
  const [past, setPast] = useState<Past>(() => {
    const known = lastRead(key);
    return known === undefined ? { is: 'reading' } : hereOf(known.past, false);
  });
  const within = useWithin(of);
  const works = useWorksWithin(within);
  const inServiceSince = useRow('assets', scope === 'asset' ? id : undefined)?.nameplate.inServiceSince ?? null;
  const isReached = usePhone((state) => state.contact === 'reached');
  const ended = useMemo(() => works.filter(({ work }) => !isOpen(work.state)).length, [works]);

  useEffect(() => {
    let isOver = false;
    const set = (next: Text): void => {
      if (!isOver) setText(next);
    };
    if (lastRead(key) === undefined) prepareToRead();
    void fetchPast(of, set);
    return () => {
      isOver = true;
    };
    // Fetched anew when work ended, and when signal came back.
  }, [of, key, ended, isReached]);

  const open = useMemo(() => works.filter(({ work }) => isOpen(work.state)), [works]);
  useEffect(() => {
    if ('is' in text) return text.is === 'reading' ? undefined : setPast(text);
    const recorded = open.map(recordedOf);
    const known = lastRead(key);
    if (known !== undefined && isAsRead(known, text.text, recorded)) {
      return setPast(hereOf(known.past, text.isOld));
    }
    const question = {
      text: text.text,
      open: recorded,
      inServiceSince,
      like,
      points: scope === 'asset' ? peekRows('points', 'asset', id) : [],
      now: now(),
    };
    let isOver = false;
    readPast(question, (found) => {
      const isWhole = found !== null && 'jobs' in found;
      if (isWhole) rememberRead(key, { text: text.text, open: recorded, past: found });
      if (isOver) return;
      const next: Past = found === null ? { is: 'damaged' } : hereOf(found, text.isOld);
      // Rows that are looked at stay until the new ones have come.
      setPast((before) =>
        before.is === 'here' && before.whole !== null && !isWhole && found !== null ? before : next,
      );
    });
    return () => {
      isOver = true;
    };
  }, [text, open, inServiceSince, like, key, scope, id]);
  return past;
}

const hereOf = (found: PastSaid | ReadPast, isOld: boolean): Past => ({
  is: 'here',
  said: found,
  whole: 'jobs' in found ? found : null,
  isOld,
});

/** Whether a machine belongs to a past: it is the one, part of it, or at the place. */
type Within = (machine: StopMachine) => boolean;

function useWithin({ scope, id }: PastOf): Within {
  const assets = useTable('assets');
  const places = useTable('places');
  return useMemo(() => {
    if (scope === 'asset') return (machine) => machine.id === id;
    const within = scope === 'parts' ? idsWithin(id, assets) : idsWithin(id, places);
    return (machine) => within.has(scope === 'parts' ? machine.id : machine.placeId);
  }, [scope, id, assets, places]);
}

interface WorkOfPast {
  readonly work: WorkOrder;
  readonly machines: readonly StopMachine[];
  readonly wanted: readonly AssetId[];
}

/** The work orders of this phone that belong to a past, and the rounds that stop there. */
function useWorksWithin(within: Within): readonly WorkOfPast[] {
  const works = useTable('workOrders');
  const stops = useTable('stops');
  return useMemo(() => {
    const stopsOf = new Map<string, Stop[]>();
    for (const stop of stops) stopsOf.set(stop.workOrderId, [...(stopsOf.get(stop.workOrderId) ?? []), stop]);
    return works.flatMap((work): WorkOfPast[] => {
      const machines = (stopsOf.get(work.id) ?? []).flatMap(({ assetId }) => peekRow('assets', assetId) ?? []);
      const own = { id: work.assetId, placeId: work.placeId };
      const wanted = [own, ...machines].filter(within).map(({ id }) => id);
      return wanted.length === 0 ? [] : [{ work, machines, wanted }];
    });
  }, [within, works, stops]);
}

const recordedOf = (of: WorkOfPast): OpenOfPast => ({
  ...of,
  entries: peekRows('entries', 'workOrder', of.work.id),
});

async function fetchPast(of: PastOf, set: (text: Text) => void): Promise<void> {
  const cached = await cachedPast(of);
  if (cached !== null) set({ text: cached.text, isOld: false });
  try {
    const text = await httpLink.past(of);
    if (cached === null || !isSamePast(text, cached.text)) set({ text, isOld: false });
    await cachePast(of, text);
  } catch (error) {
    if (error instanceof OilcanError) set({ is: 'refused', why: error });
    else if (!(error instanceof Unreachable)) throw error;
    else set(cached === null ? { is: 'without signal' } : { text: cached.text, isOld: true });
  }
}

import { useEffect, useMemo, useState } from 'react';
import { isOpen, OilcanError, type Asset, type JobLike, type PastScope, type WorkOrder } from '@oilcan/core';
import { httpLink } from '../http-link';
import { Unreachable } from '../server-link';
import { now, peekRows, usePhone, useRows } from '../store';
import { cachedPast, cachePast } from './past-cache';
import { readPast, type ReadPast } from './read-past';

export type Past =
  | { readonly is: 'reading' }
  /** `isOld`: as this phone had it, because there is no signal. */
  | { readonly is: 'here'; readonly past: ReadPast; readonly isOld: boolean }
  | { readonly is: 'without signal' }
  | { readonly is: 'refused'; readonly why: OilcanError }
  | { readonly is: 'damaged' };

type Text = { readonly text: string; readonly isOld: boolean } | Exclude<Past, { is: 'here' }>;

/**
 * The past of an asset: what this phone has of it at once, and then what the server says. It is read anew when work on
 * the asset ends or changes here.
 */
export function usePast(asset: Asset, scope: PastScope, like: JobLike | null = null): Past {
  const [text, setText] = useState<Text>({ is: 'reading' });
  const [past, setPast] = useState<Past>(() => {
    const known = like === null ? read.get(keyOf(asset, scope)) : undefined;
    return known === undefined ? { is: 'reading' } : { is: 'here', past: known.past, isOld: false };
  });
  const works = useRows('workOrders', 'asset', asset.id);
  const isReached = usePhone((state) => state.contact === 'reached');
  const ended = useMemo(() => works.filter(({ state }) => !isOpen(state)).length, [works]);

  useEffect(() => {
    let isOver = false;
    const set = (next: Text): void => {
      if (!isOver) setText(next);
    };
    void fetchPast(asset, scope, set);
    return () => {
      isOver = true;
    };
    // Fetched anew when work ended, and when signal came back.
  }, [asset, scope, ended, isReached]);

  const open = useMemo(() => works.filter(({ state }) => isOpen(state)), [works]);
  useEffect(() => {
    if ('is' in text) return text.is === 'reading' ? undefined : setPast(text);
    const known = read.get(keyOf(asset, scope));
    if (like === null && known !== undefined && isSame(known, text.text, open)) {
      return setPast({ is: 'here', past: known.past, isOld: text.isOld });
    }
    let isOver = false;
    const question = {
      text: text.text,
      open: scope === 'place' ? [] : open.map((work) => ({ work, entries: entriesOf(work) })),
      inServiceSince: scope === 'asset' ? asset.nameplate.inServiceSince : null,
      like,
      now: now(),
    };
    void readPast(question).then((found) => {
      if (found !== null) remember(keyOf(asset, scope), { text: text.text, open, past: found });
      if (!isOver) setPast(found === null ? { is: 'damaged' } : { is: 'here', past: found, isOld: text.isOld });
    });
    return () => {
      isOver = true;
    };
  }, [text, open, scope, asset, like]);
  return past;
}

interface Read {
  readonly text: string;
  readonly open: readonly WorkOrder[];
  readonly past: ReadPast;
}

/** What was read last, so that whoever goes on from the sentences to the rows does not wait for them again. */
const read = new Map<string, Read>();
const MOST_READ = 6;

const keyOf = (asset: Asset, scope: PastScope): string => `${asset.id} ${scope}`;

function remember(key: string, what: Read): void {
  read.delete(key);
  read.set(key, what);
  const [oldest] = read.keys();
  if (read.size > MOST_READ && oldest !== undefined) read.delete(oldest);
}

function isSame(known: Read, text: string, open: readonly WorkOrder[]): boolean {
  const isOpenAlike = known.open.length === open.length && known.open.every((work, index) => work === open[index]);
  return isOpenAlike && unstamped(known.text) === unstamped(text);
}

/** A past without the time at which it was asked for. */
const unstamped = (text: string): string => text.replace(/"asOf":"[^"]*"/, '');

const entriesOf = (work: WorkOrder) => peekRows('entries', 'workOrder', work.id);

async function fetchPast(asset: Asset, scope: PastScope, set: (text: Text) => void): Promise<void> {
  const cached = await cachedPast(asset.id, scope);
  if (cached !== null) set({ text: cached.text, isOld: false });
  try {
    const text = await httpLink.past(asset.id, scope);
    if (cached === null || unstamped(text) !== unstamped(cached.text)) set({ text, isOld: false });
    await cachePast(asset.id, scope, text);
  } catch (error) {
    if (error instanceof OilcanError) set({ is: 'refused', why: error });
    else if (!(error instanceof Unreachable)) throw error;
    else set(cached === null ? { is: 'without signal' } : { text: cached.text, isOld: true });
  }
}

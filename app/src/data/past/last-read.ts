import type { JobLike, PastJob, PastOf } from '@oilcan/core/past/past';
import type { PastQuestion, ReadPast } from './read-past';

/** A past that was read, and from what. */
export interface LastRead {
  readonly text: string;
  readonly open: PastQuestion['open'];
  readonly past: ReadPast;
}

const MOST = 6;
const pasts = new Map<string, LastRead>();

/** Names what was asked. */
export function questionKey({ scope, id }: PastOf, like: JobLike | null): string {
  return JSON.stringify([id, scope, like && [like.id, like.kind, like.tradeId, like.title]]);
}

/** What was read last, so that whoever goes on from the sentences to the rows does not wait for them again. */
export function lastRead(key: string): LastRead | undefined {
  return pasts.get(key);
}

/** A job of a past that was read, of which this phone may have nothing else. */
export function rememberedJob(id: string): PastJob | undefined {
  for (const { past } of pasts.values()) {
    const job = past.jobs.find((each) => each.id === id);
    if (job !== undefined) return job;
  }
  return undefined;
}

export function rememberRead(key: string, what: LastRead): void {
  pasts.delete(key);
  pasts.set(key, what);
  const [oldest] = pasts.keys();
  if (pasts.size > MOST && oldest !== undefined) pasts.delete(oldest);
}

/** Whether the same was read before: the same answer of the server, and the same recorded on open work. */
export function isAsRead(known: LastRead, text: string, open: PastQuestion['open']): boolean {
  const isOpenAlike =
    known.open.length === open.length &&
    known.open.every(({ work, entries }, index) => work === open[index]?.work && entries === open[index]?.entries);
  return isOpenAlike && isSamePast(known.text, text);
}

/** Two answers of the server that differ at most in the time at which they were asked for. */
export function isSamePast(one: string, other: string): boolean {
  return one === other || unstamped(one) === unstamped(other);
}

const unstamped = (text: string): string => text.replace(/"asOf":"[^"]*"/, '');

/** Somebody else will use this window. */
export function forgetLastRead(): void {
  pasts.clear();
}

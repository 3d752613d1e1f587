import type { AssetId, PlaceId } from '../../../kernel/ids';
import { instantFromMillis, toMillis, type Instant } from '../../../kernel/time/instant';
import type { PastJob } from './past-job';
import { DAY_MILLISECONDS } from './recurrence';

/** Whose past: an asset's own, that of an asset with what it is made of, or of everything at a place and within it. */
export const pastScopes = ['asset', 'parts', 'place'] as const;
export type PastScope = (typeof pastScopes)[number];

/** A past that can be asked for. */
export type PastOf =
  { readonly scope: 'asset' | 'parts'; readonly id: AssetId } | { readonly scope: 'place'; readonly id: PlaceId };

/** The most jobs that one answer gives, the newest ones. */
export const PAST_JOBS_LIMIT = 5_000;

/** A past as the server gives it. */
export interface PastAnswer {
  /** Since when the site has written down its work, by `stretchBegins`: before that failures would be in no row. */
  readonly recordsSince: Instant;
  /** There is more before this; null when these are all. */
  readonly cutAt: Instant | null;
  /** When it was read. */
  readonly asOf: Instant;
  /** Work that ended, newest first. */
  readonly jobs: readonly PastJob[];
  /** The newest of other assets of the same class; of a place none. */
  readonly ofClass: readonly PastJob[];
}

/** What is further apart than this does not belong to one stretch of writing things down. */
const LONGEST_PAUSE_DAYS = 365;
/** A date that was mistyped stands alone, or with another one. */
const FEWEST_IN_A_STRETCH = 3;

/**
 * When a site began to write down its work: the first of at least three jobs without a pause of a year. A job with a wrong
 * old date does not make everything look as if it had been watched since then.
 *
 * @param times of the oldest jobs, rising
 * @returns null when there is no such stretch
 */
export function stretchBegins(times: readonly Instant[]): Instant | null {
  let from = 0;
  for (const [index, time] of times.entries()) {
    const before = times[index - 1];
    const pause = before === undefined ? 0 : toMillis(time) - toMillis(before);
    if (pause > LONGEST_PAUSE_DAYS * DAY_MILLISECONDS) from = index;
    if (index - from + 1 >= FEWEST_IN_A_STRETCH) return times[from] ?? null;
  }
  return null;
}

/**
 * From when on a failure of an asset would be in these rows.
 *
 * @param inServiceSince calendar date; younger assets were not watched before
 */
export function watchedSince(
  answer: Pick<PastAnswer, 'recordsSince' | 'cutAt'>,
  inServiceSince: string | null,
): Instant {
  const begins = [answer.recordsSince, ...(answer.cutAt === null ? [] : [answer.cutAt])];
  const service = inServiceSince === null ? Number.NaN : Date.parse(inServiceSince);
  if (!Number.isNaN(service)) begins.push(instantFromMillis(service));
  return begins.sort().at(-1) ?? answer.recordsSince;
}

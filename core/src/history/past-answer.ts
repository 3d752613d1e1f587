import type { AssetId, PlaceId } from '../ids/ids';
import { instantFromMillis, type Instant } from '../time/instant';
import type { PastJob } from './past-job';

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
  /** When the site's oldest work came up: before that nothing was written down. */
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

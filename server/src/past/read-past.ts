import { OilcanError, type AssetId, type Instant } from '@oilcan/core/kernel';
import { PAST_JOBS_LIMIT, stretchBegins, type PastOf } from '@oilcan/core/past/past';
import type { Person } from '@oilcan/core/plant/people';
import { idsWithin, type Asset } from '@oilcan/core/plant/plant';
import type { Knex } from 'knex';
import { pastRows, type PastRow } from './past-rows';

/** Jobs of other assets of the class, for what is usual where the asset itself has too few. */
const CLASS_JOBS_LIMIT = 200;
/** Among so many of a site's oldest jobs the first stretch is found, unless more of them than this have wrong dates. */
const OLDEST_JOBS_LOOKED_AT = 200;
const IDS_PER_STATEMENT = 400;

/**
 * A past as JSON (`PastAnswer`), put together from bodies as they are stored: an asset may have thousands of jobs, and
 * nobody here looks into them.
 */
export async function readPast(database: Knex, person: Person, of: PastOf, now: string): Promise<string> {
  const { site, body } = await subjectOf(database, person, of);
  const limit = PAST_JOBS_LIMIT + 1;
  const found =
    of.scope === 'place'
      ? await newestOf(database, site, 'place', await placesWithin(database, site, of.id), limit)
      : await newestOf(database, site, 'asset', await assetsOf(database, of.scope, of.id), limit);
  const jobs = found.slice(0, PAST_JOBS_LIMIT);
  const ofClass = of.scope === 'place' ? [] : await newestOfClass(database, person, body, of.id);
  const oldest: Instant[] = await database('past_jobs')
    .where('site', site)
    .orderBy('at')
    .limit(OLDEST_JOBS_LOOKED_AT)
    .pluck('at');
  const recordsSince = stretchBegins(oldest) ?? oldest.at(-1) ?? now;
  const cutAt = found.length > jobs.length ? (jobs.at(-1)?.at ?? null) : null;
  const head = JSON.stringify({ recordsSince, cutAt, asOf: now });
  const list = (some: readonly PastRow[]): string => `[${some.map(({ body }) => body).join()}]`;
  return `${head.slice(0, -1)},"jobs":${list(jobs)},"ofClass":${list(ofClass)}}`;
}

/** The row of the asset or the place, which the person may see. */
async function subjectOf(
  database: Knex,
  person: Person,
  { scope, id }: PastOf,
): Promise<{ site: string; body: string }> {
  const what = scope === 'place' ? 'place' : 'asset';
  const row: { site: string; body: string } | undefined = await database(`${what}s`)
    .where('id', id)
    .first('site', 'body');
  if (row === undefined) throw new OilcanError('not_found', { what });
  if (!person.siteIds.some((site) => site === row.site)) throw new OilcanError('other_site');
  return row;
}

async function newestOfClass(database: Knex, person: Person, body: string, but: AssetId): Promise<PastRow[]> {
  const { equipmentClass } = JSON.parse(body) as Asset;
  const newest = database('past_jobs')
    .where('class', equipmentClass)
    .whereIn('site', [...person.siteIds])
    .whereNot('asset', but)
    .orderBy('at', 'desc')
    .limit(CLASS_JOBS_LIMIT);
  return pastRows(database, newest);
}

async function newestOf(
  database: Knex,
  site: string,
  column: 'asset' | 'place',
  ids: readonly string[],
  limit: number,
): Promise<PastRow[]> {
  const found: PastRow[] = [];
  for (let start = 0; start < ids.length; start += IDS_PER_STATEMENT) {
    const among = database('past_jobs').whereIn(column, ids.slice(start, start + IDS_PER_STATEMENT));
    // Written so that the index of the site does not tempt the database to begin with all rows of the site.
    among.whereRaw("coalesce(site, '') = ?", [site]);
    found.push(...(await pastRows(database, among.orderBy('at', 'desc').limit(limit))));
  }
  if (ids.length > IDS_PER_STATEMENT) found.sort((a, b) => (a.at < b.at ? 1 : -1));
  return found.slice(0, limit);
}

async function assetsOf(database: Knex, scope: 'asset' | 'parts', assetId: AssetId): Promise<string[]> {
  return scope === 'asset' ? [assetId] : [assetId, ...(await partsOf(database, [assetId], new Set([assetId])))];
}

/** Everything that these are made of, down to the last part. */
async function partsOf(database: Knex, parents: readonly string[], seen: Set<string>): Promise<string[]> {
  const parts: string[] = await database('assets')
    .whereIn('parent', [...parents])
    .pluck('id');
  const unseen = parts.filter((id) => !seen.has(id));
  if (unseen.length === 0) return [];
  for (const id of unseen) seen.add(id);
  return [...unseen, ...(await partsOf(database, unseen, seen))];
}

async function placesWithin(database: Knex, site: string, placeId: string): Promise<string[]> {
  const stored: { body: string }[] = await database('places').where('site', site).select('body');
  const places = stored.map(({ body }) => JSON.parse(body) as { id: string; parentId: string | null });
  return [...idsWithin(placeId, places)];
}

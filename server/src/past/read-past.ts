import { idsWithin, OilcanError, PAST_JOBS_LIMIT, type AssetId, type PastScope, type Person } from '@oilcan/core';
import type { Knex } from 'knex';

/** Jobs of other assets of the class, for what is usual where the asset itself has too few. */
const CLASS_JOBS_LIMIT = 200;
const IDS_PER_STATEMENT = 400;

interface Stored {
  readonly at: string;
  readonly body: string;
}

/**
 * The past of an asset as JSON (`PastAnswer`), put together from bodies as they are stored: an asset may have thousands
 * of jobs, and nobody here looks into them.
 */
export async function readPast(
  database: Knex,
  person: Person,
  assetId: AssetId,
  scope: PastScope,
  now: string,
): Promise<string> {
  const asset: { id: string; site: string; body: string } | undefined = await database('assets')
    .where('id', assetId)
    .first();
  if (asset === undefined) throw new OilcanError('not_found', { what: 'asset' });
  if (!person.siteIds.some((site) => site === asset.site)) throw await ofAnotherSite(database, asset.site);
  const { equipmentClass, placeId } = JSON.parse(asset.body) as { equipmentClass: string; placeId: string };
  const found =
    scope === 'place'
      ? await newestOf(
          database,
          asset.site,
          'place',
          await placesWithin(database, asset.site, placeId),
          PAST_JOBS_LIMIT + 1,
        )
      : await newestOf(database, asset.site, 'asset', await assetsOf(database, scope, assetId), PAST_JOBS_LIMIT + 1);
  const jobs = found.slice(0, PAST_JOBS_LIMIT);
  const ofClass: Stored[] = await database('past_jobs')
    .where('class', equipmentClass)
    .whereIn('site', [...person.siteIds])
    .whereNot('asset', assetId)
    .orderBy('at', 'desc')
    .limit(CLASS_JOBS_LIMIT)
    .select('at', 'body');
  const first: { at: string } | undefined = await database('past_jobs')
    .where('site', asset.site)
    .orderBy('at')
    .first('at');
  const cutAt = found.length > jobs.length ? (jobs.at(-1)?.at ?? null) : null;
  const head = JSON.stringify({ recordsSince: first?.at ?? now, cutAt, asOf: now });
  const list = (some: readonly Stored[]): string => `[${some.map(({ body }) => body).join()}]`;
  return `${head.slice(0, -1)},"jobs":${list(jobs)},"ofClass":${list(ofClass)}}`;
}

/** An asset that the person may not see: which site it is on may be said, and nothing else. */
async function ofAnotherSite(database: Knex, siteId: string): Promise<OilcanError> {
  const site: { body: string } | undefined = await database('sites').where('id', siteId).first('body');
  const name = site === undefined ? '' : (JSON.parse(site.body) as { name: string }).name;
  return new OilcanError('other_site', { site: name });
}

async function newestOf(
  database: Knex,
  site: string,
  column: 'asset' | 'place',
  ids: readonly string[],
  limit: number,
): Promise<Stored[]> {
  const found: Stored[] = [];
  for (let start = 0; start < ids.length; start += IDS_PER_STATEMENT) {
    const some: Stored[] = await database('past_jobs')
      .whereIn(column, ids.slice(start, start + IDS_PER_STATEMENT))
      // Written so that no index of sites tempts the database to begin with all that happened on the site.
      .whereRaw("coalesce(site, '') = ?", [site])
      .orderBy('at', 'desc')
      .limit(limit)
      .select('at', 'body');
    found.push(...some);
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

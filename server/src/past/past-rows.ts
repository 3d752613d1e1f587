import type { Knex } from 'knex';
import { PAST_VERSION, summariesOf, type Summary } from './summaries';

/** A `PastJob` as its readers need it. */
export type PastRow = Pick<Summary, 'id' | 'at' | 'body'>;

/**
 * The jobs that a query over `past_jobs` finds. What another version of the program summarised is summarised anew for whoever reads it:
 * so a new version serves at once, and those of before may go on writing beside it.
 */
export async function pastRows(database: Knex, query: Knex.QueryBuilder): Promise<PastRow[]> {
  const found = (await query.select('id', 'work_order', 'at', 'body', 'version')) as (Omit<Summary, 'version'> & {
    readonly version: number | string;
  })[];
  const stale = new Set(found.filter(({ version }) => Number(version) !== PAST_VERSION).map((row) => row.work_order));
  if (stale.size === 0) return found;
  const { summaries } = await summariesOf(database, [...stale]);
  const renewed = new Map(summaries.map((summary) => [summary.id, summary]));
  return found.flatMap((row) => (stale.has(row.work_order) ? (renewed.get(row.id) ?? []) : [row]));
}

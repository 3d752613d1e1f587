import { instantFromMillis, OilcanError, type WorkOrderId } from '@oilcan/core/kernel';
import { isHere, type Person } from '@oilcan/core/plant/people';
import type { Change } from '@oilcan/core/records';
import { isKnownAt, shownTo, tablesOfWork } from '@oilcan/core/registry';
import { isAnyNewAfter } from '@oilcan/core/registry/new-after';
import { PROTOCOL, PULL_PAGE_ROWS, SEEN_REVISION_SINCE, type PullAnswer, type Revision } from '@oilcan/core/sync';
import type { Knex } from 'knex';
import type { Clock } from '../clock';
import { feedAfter, feedFloor } from '../database/feed/feed-lines';
import { newestWithin } from '../database/feed/newest';
import { readRow, type StoredRow } from '../database/sql-records';
import { sqlName } from '../database/sql-names';
import { runnerOf } from '../database/statements';
import { changesOf } from './changes-of-lines';
import { scopeOf, scopeWithin } from './scope';

/** The scope of nobody: a phone that hears it fetches everything that it carries once more. */
const RESYNC = 'anew';

/** What a phone asks for. */
export interface Asked {
  /** Up to which revision it knows everything. */
  readonly since: Revision;
  /** Whether it is being filled for the first time, and has nothing of which it could hear that it is gone. */
  readonly isFilling: boolean;
  /** The version of the protocol that the phone and this server agreed on. */
  readonly version?: number;
  /** Given to hear only of what came with later versions than this, which the phone could not read before. */
  readonly tablesAfter?: number;
  /** How many lines are looked at for one answer; fewer in simulations, so that they come upon what is rare. */
  readonly pageRows?: number;
}

/**
 * One page of what changed since a revision, in the order in which it changed, as far as the person may see it: a range of the feed,
 * and the rows that it names as they are now. The first fill is the same from 0 on.
 */
export function pull(database: Knex, person: Person, asked: Asked, clock: Clock): Promise<PullAnswer> {
  const { since, isFilling, version = PROTOCOL.newest, pageRows = PULL_PAGE_ROWS } = asked;
  const read = async (transaction: Knex.Transaction): Promise<PullAnswer> => {
    // Before anything is read: whatever came in before it, these rows tell.
    const now = instantFromMillis(clock());
    const run = await runnerOf(transaction);
    const { revision: newest, scopes } = await newestWithin(run);
    const scope = await scopeWithin(database, run, scopes, person, version);
    const nothing = { changes: [], revision: since, hasMore: false, scope: scope.name, now, version };
    // It knows what is not there: the database was put back to an earlier state.
    if (since > newest) return { ...nothing, scope: RESYNC };
    if (since === newest) return nothing;
    // Who has no site or no role has nothing to do here, and sees nothing: what their phone had, it lets go of with the scope.
    if (!isHere(person)) return { ...nothing, revision: newest };
    if (since > 0 && !isFilling && (await feedFloor(run, scope.audiences)) > since)
      return { ...nothing, scope: RESYNC };
    if (asked.tablesAfter !== undefined && !isAnyNewAfter(asked.tablesAfter)) return { ...nothing, revision: newest };
    const { lines, hasMore } = await feedAfter(run, scope.audiences, since, pageRows);
    const isFirst = isFilling && since === 0;
    const of = { viewer: scope.viewer, version, knownAt: asked.tablesAfter ?? null, now, isFilling, isFirst };
    return {
      changes: await changesOf(run, lines, of),
      revision: hasMore ? (lines.at(-1)?.revision ?? newest) : newest,
      hasMore,
      scope: scope.name,
      now,
      version,
    };
  };
  // Phones that know nothing of revisions go by this time: for them nobody may be writing what is stamped before it.
  return database.transaction(read, { readOnly: version >= SEEN_REVISION_SINCE });
}

/** A work order of the person's sites with everything recorded on it, whether phones carry it or not. */
export async function readWork(
  database: Knex,
  person: Person,
  id: WorkOrderId,
  version: number = PROTOCOL.newest,
): Promise<{ changes: Change[] }> {
  const stored: StoredRow | undefined = await database<StoredRow>('work_orders')
    .where('id', id)
    .whereIn('site', [...person.siteIds])
    .first();
  if (stored === undefined) throw new OilcanError('not_found', { what: 'work order' });
  const { viewer } = await scopeOf(database, person);
  const changes: Change[] = [{ table: 'workOrders', id, row: readRow('workOrders', stored) }];
  for (const table of tablesOfWork) {
    const rows: StoredRow[] = await database<StoredRow>(sqlName(table)).where('work_order', id).orderBy('id');
    changes.push(
      ...rows.map((each) => ({ table, id: each.id, row: shownTo(table, readRow(table, each), viewer) }) as Change),
    );
  }
  return { changes: changes.filter((change) => isKnownAt(change, version)) };
}

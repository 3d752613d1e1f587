import { instantFromMillis, OilcanError, type WorkOrderId } from '@oilcan/core/kernel';
import { isHere, type Person } from '@oilcan/core/people';
import type { Change } from '@oilcan/core/records';
import { isKnownAt, shownTo, tablesOfWork } from '@oilcan/core/registry';
import { PROTOCOL, PULL_PAGE_ROWS, type PullAnswer, type Revision } from '@oilcan/core/sync';
import type { Knex } from 'knex';
import type { Clock } from '../clock';
import { currentRevision, revisionWithin } from '../database/revisions';
import { readRow, sqlName, type StoredRow } from '../database/sql-records';
import { runnerOf } from '../database/statements';
import { rowsSince } from './rows-since';
import { scopeOf } from './scope';

/** A phone that is so many revisions behind begins anew: what it carries is less than what it would look through. */
const FAR_BEHIND = 20_000;
/** The scope of nobody: a phone that hears it fetches everything that it carries once more. */
const ANEW = 'anew';

/** How much is answered at once; smaller in simulations, so that they come upon what is rare. */
export interface PullSizes {
  readonly pageRows: number;
  readonly farBehind: number;
}

interface PullOptions extends PullSizes {
  /** The version of the protocol that the phone and this server agreed on. */
  readonly version: number;
}

/** One page of what changed since a revision, in the order in which it changed, as far as the person may see it. */
export async function pull(
  database: Knex,
  person: Person,
  since: Revision,
  isFilling: boolean,
  clock: Clock,
  { version = PROTOCOL.newest, pageRows = PULL_PAGE_ROWS, farBehind = FAR_BEHIND }: Partial<PullOptions> = {},
): Promise<PullAnswer> {
  const scope = await scopeOf(database, person, version);
  // Before anything is read: what is written after it is stamped later, and is not known to who reads this.
  const now = instantFromMillis(clock());
  const nothing = { changes: [], revision: since, hasMore: false, scope: scope.name, now, version };
  const behind = (await currentRevision(database)) - since;
  if (behind <= 0) return nothing;
  // Who has no site or no role has nothing to do here, and sees nothing: what their phone had, it lets go of with the scope.
  if (!isHere(person)) return { ...nothing, revision: since + behind };
  if (behind > farBehind && since > 0 && !isFilling) return { ...nothing, scope: ANEW };
  const read = async (transaction: Knex.Transaction): Promise<PullAnswer> => {
    // Once more, since the transaction waited for those before it, and contains what they wrote.
    const now = instantFromMillis(clock());
    const run = await runnerOf(transaction);
    const newest = await revisionWithin(run);
    const found = await rowsSince(run, { scope, since, now, isFilling, limit: pageRows + 1 });
    const page = found.slice(0, pageRows);
    const hasMore = found.length > pageRows;
    const revision = hasMore ? (page.at(-1)?.revision ?? newest) : newest;
    const changes = page.map(({ change }) => change).filter((change) => isKnownAt(change, version));
    return { changes, revision, hasMore, scope: scope.name, now, version };
  };
  return database.transaction(read, { readOnly: true });
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

import { createInterface } from 'node:readline';
import type { Readable } from 'node:stream';
import { isFileId } from '@oilcan/core/plant/files';
import { withDangersThere } from '@oilcan/core/orders/hazards';
import { asId, instantFromMillis, type Instant, type PersonId, type SiteId } from '@oilcan/core/kernel';
import { problemsOfPlan } from '@oilcan/core/finishing/plans';
import type { Change, TableName } from '@oilcan/core/records';
import { isTableName } from '@oilcan/core/registry';
import { isOpen, type WorkOrder } from '@oilcan/core/orders/work';
import type { Knex } from 'knex';
import type { Clock } from '../clock';
import { putAccount } from '../accounts/accounts';
import { endAllSessions } from '../accounts/end-account';
import { failureOf } from '../database/dialects';
import { readRow, SqlRecords, type StoredRow } from '../database/sql-records';
import type { FileStore } from '../files/file-store';
import { beginAbove } from '../numbers/reserve-numbers';
import { letLeadsRead } from './let-leads-read';
import { noteDerived } from '../derived';

const ROWS_PER_TRANSACTION = 5_000;

interface FileLine {
  readonly file: { readonly id: string; readonly mediaType: string; readonly content: string };
}

interface AccountLine {
  readonly account: { readonly person: string; readonly name: string; readonly password: string };
}

/** Where files go, and the time of the load. */
interface LoadInto {
  readonly files: FileStore;
  readonly clock: Clock;
}

/**
 * Fills a database from JSON lines: `{"table": …, "row": {"id": …}}` or
 * `{"account": {"person": …, "name": …, "password": …}}` or `{"file": {"id": …, "mediaType": …, "content": base64}}`.
 * Names the line it cannot read.
 *
 * @returns how many rows were written
 */
export async function loadRows(database: Knex, lines: Readable, { files, clock }: LoadInto): Promise<number> {
  let waiting: Change[] = [];
  let written = 0;
  let lineNumber = 0;
  const workIds = new Set<string>();
  const registerSites = new Set<SiteId>();
  const flush = async (): Promise<void> => {
    await whenFree(() =>
      database.transaction(async (transaction) => {
        const records = new SqlRecords(transaction, instantFromMillis(clock()));
        await records.write(waiting);
        if (waiting.some(({ table }) => table === 'people')) await letLeadsRead(transaction, records);
        await checkPlans(records, waiting, lineNumber);
        await noteDerived(transaction, waiting);
        await beginAbove(transaction, 'workOrder', numbersIn(waiting, ['workOrders']));
        await beginAbove(transaction, 'report', numbersIn(waiting, ['reports', 'incidents']));
      }),
    );
    for (const { table, row } of waiting) {
      if (table === 'workOrders' && row !== null && isOpen(row.state)) workIds.add(row.id);
      if (table === 'hazardRegister' && row !== null) registerSites.add(row.siteId);
    }
    written += waiting.length;
    waiting = [];
  };
  for await (const line of createInterface({ input: lines })) {
    lineNumber += 1;
    if (line === '') continue;
    const given = readLine(line, lineNumber);
    if ('account' in given) {
      const { person, name, password } = given.account;
      await putAccount(database, asId<PersonId>(person), name, password);
      // Whoever had the earlier password is not signed in with it any more.
      await endAllSessions(database, asId<PersonId>(person));
      continue;
    }
    if ('file' in given) {
      await putFile(database, { files, clock }, given.file);
      continue;
    }
    waiting.push(given);
    if (waiting.length >= ROWS_PER_TRANSACTION) await flush();
  }
  await flush();
  await whenFree(() => giveDangers(database, workIds, registerSites, instantFromMillis(clock())));
  return written;
}

/**
 * Every open work order has the hazards and the isolation points of its machine: those that were loaded, and, where the hazard register
 * was, those that were there before on its sites, whose people read them again.
 */
async function giveDangers(
  database: Knex,
  workIds: ReadonlySet<string>,
  registerSites: ReadonlySet<SiteId>,
  now: Instant,
): Promise<void> {
  await database.transaction(async (transaction) => {
    const records = new SqlRecords(transaction);
    const changes: Change[] = [];
    const complete = async (work: WorkOrder | undefined, addedAt?: Instant): Promise<void> => {
      if (work === undefined) return;
      const row = await withDangersThere(records, work, addedAt);
      if (row !== work) changes.push({ table: 'workOrders', id: row.id, row });
    };
    for (const id of workIds) await complete(await records.get('workOrders', id));
    if (registerSites.size > 0) {
      const open: StoredRow[] = await transaction<StoredRow>('work_orders')
        .whereNull('ended')
        .whereIn('site', [...registerSites]);
      for (const row of open) if (!workIds.has(row.id)) await complete(readRow('workOrders', row), now);
    }
    await records.write(changes);
  });
}

/** Plans name what has to be there before them, and a rule that comes round. */
async function checkPlans(records: SqlRecords, changes: readonly Change[], upToLine: number): Promise<void> {
  for (const change of changes) {
    if (change.table !== 'plans' || change.row === null) continue;
    const problems = await problemsOfPlan(change.row, records);
    if (problems.length === 0) continue;
    throw new Error(`Up to line ${upToLine}, plan ${change.id} cannot be used: ${problems.join(' ')}`);
  }
}

/** The numbers that rows of these tables have. */
function numbersIn(changes: readonly Change[], tables: readonly TableName[]): string[] {
  return changes.flatMap(({ table, row }) =>
    tables.includes(table) && row !== null && 'number' in row ? [row.number] : [],
  );
}

const TRIES = 30;
const PAUSE_MILLISECONDS = 500;

/** Writes as soon as no other program does: a server that is used meanwhile goes first. */
async function whenFree(write: () => Promise<void>): Promise<void> {
  for (let tried = 1; ; tried += 1) {
    try {
      return await write();
    } catch (error) {
      if (failureOf(error) !== 'busy' || tried === TRIES) throw error;
      await new Promise((resolve) => setTimeout(resolve, PAUSE_MILLISECONDS));
    }
  }
}

async function putFile(
  database: Knex,
  { files, clock }: LoadInto,
  { id, mediaType, content }: FileLine['file'],
): Promise<void> {
  const bytes = Buffer.from(content, 'base64');
  if (!isFileId(id)) throw new Error(`${id} is not the SHA-256 of a file.`);
  await files.put(id, bytes);
  await database('files')
    .insert({
      id,
      media_type: mediaType,
      bytes: bytes.length,
      by_person: '',
      received_at: instantFromMillis(clock()),
    })
    .onConflict('id')
    .ignore();
}

function parsed(line: string, lineNumber: number): object {
  let given: unknown;
  try {
    given = JSON.parse(line);
  } catch (error) {
    throw new Error(`Line ${lineNumber} is not JSON: ${error instanceof Error ? error.message : ''}`);
  }
  if (typeof given === 'object' && given !== null) return given;
  throw new Error(`Line ${lineNumber} is neither a row of a known table, nor an account, nor a file.`);
}

function readLine(line: string, lineNumber: number): Change | AccountLine | FileLine {
  const given = parsed(line, lineNumber) as { table?: unknown; row?: { id?: unknown } } | AccountLine | FileLine;
  if ('account' in given || 'file' in given) return given;
  const { table, row } = given;
  if (typeof table !== 'string' || !isTableName(table) || typeof row?.id !== 'string') {
    throw new Error(`Line ${lineNumber} is neither a row of a known table, nor an account, nor a file.`);
  }
  return { table, id: row.id, row } as unknown as Change;
}

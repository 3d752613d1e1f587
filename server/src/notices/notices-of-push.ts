import { randomUUID } from 'node:crypto';
import {
  type AssetId,
  type Instant,
  type PartId,
  type PersonId,
  type StoreId,
  type WorkOrderId,
} from '@oilcan/core/kernel';
import {
  noticeChoiceOf,
  noticesOfIncident,
  noticesOfReport,
  noticesOfRequest,
  noticesOfTransfer,
  shortened,
  type Follow,
  type Notice,
  type NoticeChoice,
  type RequestNames,
} from '@oilcan/core/overview/notices';
import type { Change, Tables } from '@oilcan/core/records';
import { isForOthers, noticesOfChange } from '@oilcan/core/registry';
import type { Entry, WorkOrder } from '@oilcan/core/orders/work';
import type { Knex } from 'knex';
import { sqlName } from '../database/sql-names';
import { readRow, type SqlRecords, type StoredRow } from '../database/sql-records';
import { directoryOf } from '../directory/directory';
import { runAmong, runnerOf } from '../database/statements';
import { worksTouchedBy } from '../past/note-past';

/** Whom these changes of somebody concern, as rows to be written with them. Reads the rows as they were before. */
export async function noticesOfPush(
  transaction: Knex.Transaction,
  records: SqlRecords,
  changes: readonly Change[],
  by: PersonId,
  now: Instant,
): Promise<Change[]> {
  const ofWork = await noticesOfWork(transaction, records, changes, by, now);
  const ofReports = await noticesOfReports(transaction, records, changes, by, now);
  const ofRequests = await noticesOfRequests(transaction, records, changes, by, now);
  return writeNotices(transaction, [...ofWork, ...ofReports, ...ofRequests], now);
}

/** Of what is asked of stores, and of what moves between them. */
async function noticesOfRequests(
  transaction: Knex.Transaction,
  records: SqlRecords,
  changes: readonly Change[],
  by: PersonId,
  now: Instant,
): Promise<Notice[]> {
  if (!changes.some(({ table }) => table === 'requests' || table === 'transfers')) return [];
  const { people } = await directoryOf(transaction);
  const told: Notice[] = [];
  for (const change of changes) {
    if (change.row === null) continue;
    if (change.table === 'requests') {
      const names = await namesOf(records, change.row, change.row.storeId, change.row.words);
      told.push(...noticesOfRequest(await records.get('requests', change.id), change.row, by, people, names, now));
    }
    if (change.table === 'transfers') {
      const { row } = change;
      const names = await namesOf(records, row, row.toStoreId, '');
      const unit = (await records.get('parts', row.partId))?.unit ?? '';
      const from = (await records.get('stores', row.fromStoreId))?.name ?? '';
      const before = await records.get('transfers', change.id);
      told.push(...noticesOfTransfer(before, row, by, people, { ...names, unit, from }, now));
    }
  }
  return told;
}

/** The number of the job, or the store where there is none; and what is asked for. */
async function namesOf(
  records: SqlRecords,
  { workOrderId, partId }: { readonly workOrderId: WorkOrderId | null; readonly partId: PartId | null },
  storeId: StoreId,
  words: string,
): Promise<RequestNames> {
  const work = workOrderId === null ? undefined : await records.get('workOrders', workOrderId);
  const part = partId === null ? undefined : await records.get('parts', partId);
  const number = work?.number ?? (await records.get('stores', storeId))?.name ?? '';
  return { number, title: part?.name ?? shortened(words) };
}

async function noticesOfReports(
  transaction: Knex.Transaction,
  records: SqlRecords,
  changes: readonly Change[],
  by: PersonId,
  now: Instant,
): Promise<Notice[]> {
  const isOfReports = changes.some(({ table }) => table === 'reports' || table === 'incidents');
  if (!isOfReports) return [];
  const { people } = await directoryOf(transaction);
  const told: Notice[] = [];
  for (const change of changes) {
    if (change.row === null) continue;
    if (change.table === 'reports')
      told.push(...noticesOfReport(await records.get('reports', change.id), change.row, by, people, now));
    if (change.table === 'incidents')
      told.push(...noticesOfIncident(await records.get('incidents', change.id), change.row, by, now));
  }
  return told;
}

async function noticesOfWork(
  transaction: Knex.Transaction,
  records: SqlRecords,
  changes: readonly Change[],
  by: PersonId,
  now: Instant,
): Promise<Notice[]> {
  const touched = [...worksTouchedBy(changes)];
  if (touched.length === 0) return [];
  const stored = await runAmong<StoredRow>(
    await runnerOf(transaction),
    touched,
    (places) => `SELECT body FROM follows WHERE work_order IN (${places})`,
  );
  const follows = stored.map((each): Follow => readRow('follows', each));
  const assetFollows = await followsOfAssets(transaction);
  const after = new Map(
    changes.flatMap((change): [string, WorkOrder][] =>
      change.table === 'workOrders' && change.row !== null ? [[change.id, change.row]] : [],
    ),
  );
  const concernsOthers = changes.some(({ table, row }) => table === 'entries' && row !== null && isForOthers(row));
  if (after.size === 0 && follows.length === 0 && assetFollows.size === 0 && !concernsOthers) return [];
  const everybody = await directoryOf(transaction);
  const told: Notice[] = [];
  for (const id of touched) {
    const before = await records.get('workOrders', id);
    const work = after.get(id) ?? before;
    if (work === undefined) continue;
    const ofJob = follows.filter(({ workOrderId }) => workOrderId === id).map(({ personId }) => personId);
    const ofMachine = assetFollows.size === 0 ? [] : await followersOf(work.assetId, assetFollows, records);
    const followers = [...new Set([...ofJob, ...ofMachine])];
    const change = { before, after: work, entries: entriesOn(id, changes), by };
    told.push(...noticesOfChange(change, everybody, followers, now));
  }
  return told;
}

/** Who follows which machine: few do, so that all of them are read at once. */
async function followsOfAssets(transaction: Knex.Transaction): Promise<ReadonlyMap<string, readonly PersonId[]>> {
  const run = await runnerOf(transaction);
  const stored = await run<{ asset: string; person: PersonId }>('SELECT asset, person FROM asset_follows', []);
  const followers = new Map<string, PersonId[]>();
  for (const { asset, person } of stored) followers.set(asset, [...(followers.get(asset) ?? []), person]);
  return followers;
}

/** Who follows a machine, or what it is part of. */
async function followersOf(
  assetId: AssetId,
  followers: ReadonlyMap<string, readonly PersonId[]>,
  records: SqlRecords,
): Promise<PersonId[]> {
  const found: PersonId[] = [];
  const seen = new Set<string>();
  for (let id: AssetId | null = assetId; id !== null && !seen.has(id);) {
    seen.add(id);
    found.push(...(followers.get(id) ?? []));
    id = (await records.get('assets', id))?.parentId ?? null;
  }
  return found;
}

function entriesOn(workOrderId: string, changes: readonly Change[]): Entry[] {
  return changes.flatMap((change) =>
    change.table === 'entries' && change.row?.workOrderId === workOrderId ? [change.row] : [],
  );
}

/** Notices as rows, without those that their people do not want; mails that were wanted are queued. */
export async function writeNotices(
  transaction: Knex.Transaction,
  told: readonly Notice[],
  now: Instant,
): Promise<Change[]> {
  if (told.length === 0) return [];
  const choices = await choicesOf(transaction, told);
  const choiceOf = (id: PersonId) => noticeChoiceOf(id, choices.get(id));
  const wanted = told.filter(({ personId, kind }) => !choiceOf(personId).silent.includes(kind));
  const byMail = wanted.filter(({ personId, kind }) => choiceOf(personId).mail.includes(kind));
  if (byMail.length > 0) {
    const rows = byMail.map((notice) => ({
      person: notice.personId,
      notice: JSON.stringify(notice),
      queued_at: now,
      mail_id: randomUUID(),
    }));
    await transaction.batchInsert('mail_queue', rows, 100);
  }
  return wanted.map((row): Change => ({ table: 'notices', id: row.id, row }));
}

/** What those who are told chose to hear of. */
async function choicesOf(
  transaction: Knex.Transaction,
  told: readonly Notice[],
): Promise<ReadonlyMap<PersonId, NoticeChoice>> {
  const stored = await runAmong<StoredRow>(
    await runnerOf(transaction),
    [...new Set(told.map(({ personId }) => personId))],
    (places) => `SELECT body FROM notice_choices WHERE id IN (${places})`,
  );
  return new Map(stored.map((each) => readRow('noticeChoices', each)).map((choice) => [choice.id, choice]));
}

export async function allOf<T extends 'incidents' | 'reviews' | 'sites'>(
  transaction: Knex,
  table: T,
): Promise<Tables[T][]> {
  const stored: StoredRow[] = await transaction<StoredRow>(sqlName(table)).select('body');
  return stored.map((each) => readRow(table, each));
}

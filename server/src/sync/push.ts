import { asId, instantFromMillis, OilcanError, type FileId, type Instant, type OperationId } from '@oilcan/core/kernel';
import {
  accepted,
  isFromTheFuture,
  readOperation,
  refuse,
  type Operation,
  type Outcome,
} from '@oilcan/core/operations';
import { nextOn } from '@oilcan/core/finishing/plans';
import type { Person } from '@oilcan/core/plant/people';
import { StagedRecords, type Fields } from '@oilcan/core/records';
import { applyOperation, fileNamedBy, fileTypesOf, numberTakenBy } from '@oilcan/core/registry/operations';
import { agreeOn, PUSH_LIMIT, type PushAnswer, type PushRequest } from '@oilcan/core/sync';
import type { Knex } from 'knex';
import type { Clock } from '../clock';
import { endAccountsOfLeavers } from '../accounts/end-account';
import { letLeadsRead } from '../load/let-leads-read';
import { queueCopies } from '../copies/deliver-copies';
import { revisionWithin } from '../database/revisions';
import type { Audience } from '../database/feed/audiences';
import { SqlRecords } from '../database/sql-records';
import { runAmong, runnerOf, type Run } from '../database/statements';
import { mayNameFile } from '../files/known-files';
import { isLogged, isLoggedAs, toLog, writeLog, type KnownOperation, type NewlyLogged } from '../log/operation-log';
import { noticesOfPush } from '../notices/notices-of-push';
import type { NumberSeries } from '@oilcan/core/plant/numbers';
import { reservedFor, noteTaken, takeNumbers } from '../numbers/reserve-numbers';
import { withLeadsReading } from '../reports/incident-readers';
import { queueGuestMails } from '../guests/guest-mails';
import { noteReviews } from '../review/note-reviews';
import { noteDerived } from '../derived';
import { primeForOperations } from './prime';

/** Checks the envelope of a push; the operations in it are applied one by one. */
export function checkEnvelope(
  request: Pick<PushRequest, 'protocol' | 'oldest'> & { operations: readonly unknown[] },
): void {
  agreeOn({ newest: request.protocol, oldest: request.oldest ?? request.protocol });
  if (request.operations.length > PUSH_LIMIT) {
    throw new OilcanError('too_many_operations', { limit: PUSH_LIMIT }, 'operations');
  }
}

/** What is answered, and whom what was written concerns. */
export interface Pushed {
  readonly answer: PushAnswer;
  readonly concerned: ReadonlySet<Audience>;
  /** Of people who left by it. */
  readonly endedSessions: ReadonlySet<string>;
}

/**
 * Takes operations in their order, in one transaction: each is applied to what the ones before it left, and its
 * outcome, its rows and their revisions are written together or not at all. An operation that is known already
 * keeps its first outcome. What waits for its file, or was stamped by a clock that is ahead, is not applied yet: the
 * phone sends it again, with its file or the right time.
 */
export function push(database: Knex, person: Person, operations: readonly unknown[], clock: Clock): Promise<Pushed> {
  return database.transaction((transaction) => pushWithin(transaction, { person, operations }, clock));
}

/** What one phone sends at once. */
export interface Push {
  readonly person: Person;
  readonly operations: readonly unknown[];
  /** What the person's browser says of itself; left out where there is none. */
  readonly device?: string;
}

/**
 * As `push`, within a transaction in which other pushes may come before and after it. The clock is read here, where nothing else is
 * read or written meanwhile: whoever has pulled before knows nothing of what is stamped now.
 */
export async function pushWithin(
  transaction: Knex.Transaction,
  { person, operations, device }: Push,
  clock: Clock,
): Promise<Pushed> {
  const now = instantFromMillis(clock());
  const run = await runnerOf(transaction);
  // What is written here gets this revision or a later one, and becomes visible all at once: whoever has read up to it knows all of it.
  const revisionHere = (await revisionWithin(run)) + 1;
  const read = operations.map(readOperation);
  const wellFormed = read.flatMap((each) => (each.ok ? [each.value] : []));
  const known = await knownOperations(run, wellFormed);
  const records = new SqlRecords(transaction);
  const batch = new StagedRecords(records);
  await primeForOperations(batch, records, wellFormed, person);

  const outcomes: { id: string; outcome: Outcome }[] = [];
  const early = await earlyCopies(transaction, run, wellFormed, now);
  const missingFiles = await missingFilesOf(transaction, wellFormed, person);
  const typesOfFiles = await typesAmong(transaction, wellFormed);
  const lent = await lentAmong(transaction, wellFormed);
  const log: NewlyLogged[] = [];
  const renumbered: OperationId[] = [];
  for (const [index, each] of read.entries()) {
    if (!each.ok) {
      outcomes.push({ id: idOf(operations[index]), outcome: each });
      continue;
    }
    const operation = each.value;
    const before = known.get(operation.id);
    if (before !== undefined) {
      outcomes.push({ id: operation.id, outcome: firstOutcome(before, operation) });
      continue;
    }
    if (early.has(copyOf(operation))) {
      outcomes.push({ id: operation.id, outcome: refuse('made_in_future') });
      continue;
    }
    const file = fileNamedBy(operation);
    if (file !== null && missingFiles.has(file)) {
      outcomes.push({ id: operation.id, outcome: refuse('file_missing') });
      continue;
    }
    const types = fileTypesOf(operation);
    if (file !== null && types !== null && !types.some((type) => type === typesOfFiles.get(file))) {
      outcomes.push({ id: operation.id, outcome: refuse('file_type_unsupported', {}, 'fileId') });
      continue;
    }
    const numbered = numberTakenBy(operation);
    const isLent = numbered?.number != null && lent.has(lendingOf(numbered.series, operation.device, numbered.number));
    const [newNumber = null] = numbered !== null && !isLent ? await takeNumbers(transaction, numbered.series, 1) : [];
    const isRenumbered = numbered?.number != null && !isLent;
    const asNumbered = isRenumbered ? withoutNumber(operation) : operation;
    const { outcome, changes } = await applyOperation(batch, asNumbered, person, {
      now,
      newNumber,
      nextOn,
      revision: revisionHere,
    });
    if (isRenumbered) renumbered.push(operation.id);
    const done = { operation, outcome, changes, before: batch, deviceWords: device ?? null };
    const logged = await toLog(done);
    batch.absorb(changes);
    if (outcome.ok && isLent) {
      lent.delete(lendingOf(numbered.series, operation.device, numbered.number));
      await noteTaken(transaction, numbered.number, operation.id);
    }
    outcomes.push({ id: operation.id, outcome });
    known.set(operation.id, logged);
    if (isLogged(outcome)) log.push(logged);
  }

  const changes = await withLeadsReading(transaction, batch.changes());
  const told = await noticesOfPush(transaction, records, changes, person.id, now);
  await queueGuestMails(transaction, records, changes);
  await records.write([...changes, ...told]);
  await queueCopies(transaction, changes);
  const endedSessions = await endAccountsOfLeavers(transaction, changes);
  if (endedSessions.size > 0) await letLeadsRead(transaction, records);
  const touched = await noteDerived(transaction, changes);
  await noteReviews(transaction, records, touched, now);
  const revision = await revisionWithin(run);
  await writeLog(run, log, now, revision);
  const answer = { outcomes, revision, now, ...(renumbered.length === 0 ? {} : { renumbered }) };
  return { answer, concerned: records.audience, endedSessions };
}

async function knownOperations(run: Run, operations: readonly Operation[]): Promise<Map<OperationId, KnownOperation>> {
  const ids = operations.map((operation) => operation.id);
  const rows = await runAmong<KnownOperation>(
    run,
    ids,
    (places) => `SELECT id, name, by_person, args, outcome FROM operations WHERE id IN (${places})`,
  );
  return new Map(rows.map((row) => [asId<OperationId>(row.id), row]));
}

/** Names a copy of an operation by its stamp. */
const copyOf = ({ id, ahead }: Pick<Operation, 'id' | 'ahead'>): string => `${id} ${ahead}`;

/**
 * Copies of operations that came from the future, and all that were made after one: their devices are told the time and
 * stamp them anew. A copy that still bears the first stamp may come when that is past, and is not applied either.
 */
async function earlyCopies(
  transaction: Knex.Transaction,
  run: Run,
  operations: readonly Operation[],
  now: Instant,
): Promise<Set<string>> {
  const ids = operations.map(({ id }) => id);
  const seen = await runAmong<{ id: OperationId; ahead: number | string }>(
    run,
    ids,
    (places) => `SELECT id, ahead FROM early_operations WHERE id IN (${places})`,
  );
  const early = new Set(seen.map(({ id, ahead }) => copyOf({ id, ahead: Number(ahead) })));
  const first = operations.findIndex(
    (operation) => isFromTheFuture(operation.at, operation.ahead, now) || early.has(copyOf(operation)),
  );
  if (first < 0) return early;
  const rest = operations.slice(first);
  const rows = rest.map(({ id, ahead }) => ({ id, ahead }));
  await transaction('early_operations').insert(rows).onConflict(['id', 'ahead']).ignore();
  return new Set(rest.map(copyOf));
}

/**
 * Files that operations name and that have not arrived, or that their person has neither brought nor may see: a name is not
 * enough to see a file. Their operations are not applied yet, and wait until the person has brought the file.
 */
async function missingFilesOf(
  transaction: Knex.Transaction,
  operations: readonly Operation[],
  person: Person,
): Promise<Set<FileId>> {
  const named = new Set(operations.flatMap((operation) => fileNamedBy(operation) ?? []));
  for (const id of named) if (await mayNameFile(transaction, id, person)) named.delete(id);
  return named;
}

/** What the files are that operations name which take some types alone. */
async function typesAmong(
  transaction: Knex.Transaction,
  operations: readonly Operation[],
): Promise<ReadonlyMap<string, string>> {
  const named = operations.flatMap((operation) =>
    fileTypesOf(operation) === null ? [] : (fileNamedBy(operation) ?? []),
  );
  if (named.length === 0) return new Map();
  const stored: { id: string; media_type: string }[] = await transaction('files')
    .whereIn('id', named)
    .select('id', 'media_type');
  return new Map(stored.map(({ id, media_type }) => [id, media_type]));
}

/** Of a number that this phone was not lent, the server gives another: what was recorded is not refused for it. */
function withoutNumber(operation: Operation): Operation {
  return { ...operation, args: { ...(operation.args as Fields), number: null } };
}

const lendingOf = (series: NumberSeries, device: string, number: string): string => `${series} ${device} ${number}`;

/** Those of the numbers that operations bring which their devices were lent. */
async function lentAmong(transaction: Knex.Transaction, operations: readonly Operation[]): Promise<Set<string>> {
  const wanted = new Map<string, { series: NumberSeries; device: string; numbers: string[] }>();
  for (const { device, ...operation } of operations) {
    const { series, number } = numberTakenBy(operation) ?? { series: null, number: null };
    if (series === null || number === null) continue;
    const key = `${series} ${device}`;
    const of = wanted.get(key) ?? { series, device, numbers: [] };
    of.numbers.push(number);
    wanted.set(key, of);
  }
  const lent = new Set<string>();
  for (const { series, device, numbers } of wanted.values())
    for (const number of await reservedFor(transaction, series, device, numbers))
      lent.add(lendingOf(series, device, number));
  return lent;
}

function firstOutcome(before: KnownOperation, operation: Operation): Outcome {
  if (!isLoggedAs(before, operation)) return refuse('operation_id_reused', {}, 'id');
  const outcome = JSON.parse(before.outcome) as Outcome;
  return outcome.ok ? accepted : outcome;
}

function idOf(given: unknown): string {
  const id = typeof given === 'object' && given !== null && 'id' in given ? given.id : undefined;
  return typeof id === 'string' ? id.slice(0, 64) : '';
}

import { createHash, randomUUID } from 'node:crypto';
import type { Instant } from '@oilcan/core/kernel';
import { accepted, type Operation, type Outcome } from '@oilcan/core/operations';
import type { Change, StagedRecords } from '@oilcan/core/records';
import { isPrivate, operationNamed, rowsReadBy } from '@oilcan/core/registry/operations';
import { insertRows } from '../database/insert-rows';
import type { Run } from '../database/statements';
import { changedRows, siteOf, thingsOf } from './changed';

/** What is known again of an operation that comes twice. */
export interface KnownOperation {
  readonly id: string;
  readonly name: string;
  readonly by_person: string;
  readonly args: string;
  readonly outcome: string;
}

/** An operation on its way into the log. */
export interface NewlyLogged extends KnownOperation {
  readonly device: string;
  readonly at: string;
  readonly ahead: number;
  readonly known_until: string | null;
  readonly seen_revision: number | null;
  readonly changed: string | null;
  readonly device_words: string | null;
  readonly site: string | null;
  /** What it is about, by which it is found again. */
  readonly things: readonly string[];
}

const columns = [
  'id',
  'name',
  'by_person',
  'args',
  'outcome',
  'device',
  'at',
  'ahead',
  'known_until',
  'seen_revision',
  'changed',
  'device_words',
  'site',
] as const;

const notLogged: readonly string[] = [
  'invalid',
  'operation_unknown',
  'text_too_long',
  'control_characters',
  'not_as_another',
];

/** What stands in the place of arguments of long ago. */
export const FOLDED_ARGS = '{}';

/**
 * What breaks a schema is refused again the same way whenever it comes, so it need not be remembered.
 * What breaks a rule might pass later: its refusal is kept, so that a message that comes twice is answered alike.
 * What somebody else sent says nothing of its maker's own sending.
 */
export function isLogged(outcome: Outcome): boolean {
  return outcome.ok || !notLogged.includes(outcome.code);
}

interface Done {
  readonly operation: Operation;
  readonly outcome: Outcome;
  readonly changes: readonly Change[];
  /** The records before it. */
  readonly before: StagedRecords;
  /** What the person's browser says of itself. */
  readonly deviceWords: string | null;
}

/** An operation with what it changed, before that is laid over the records; of a private one only that it came. */
export async function toLog({ operation, outcome, changes, before, deviceWords }: Done): Promise<NewlyLogged> {
  const came = {
    id: operation.id,
    name: operation.name,
    by_person: operation.by,
    device: operation.device,
    at: operation.at,
    ahead: operation.ahead,
    known_until: operation.knownUntil,
    seen_revision: operation.seenRevision ?? null,
    args: argsKept(operation, outcome),
    outcome: JSON.stringify(outcome),
    device_words: deviceWords,
  };
  if (isPrivate(operation)) return { ...came, changed: null, site: null, things: [] };
  return {
    ...came,
    changed: JSON.stringify(await changedRows(before, changes)),
    site: siteOf(changes) ?? (governsAll(operation) ? EVERY_SITE : await siteNamedIn(operation, before)),
    things: outcome.ok ? thingsOf(changes, before) : namedIn(operation),
  };
}

/** Under this site stands what holds on all of them: every lead reads of it. */
export const EVERY_SITE = '*';

const governsAll = ({ name }: Operation): boolean => operationNamed(name)?.governs === 'everything';

/** The site of what an operation names that changed nothing: of the first row that it reads and that has one. */
async function siteNamedIn(operation: Operation, before: StagedRecords): Promise<string | null> {
  const { args } = operation;
  if (typeof args === 'object' && args !== null && 'siteId' in args && typeof args.siteId === 'string')
    return args.siteId;
  for (const { table, id } of rowsReadBy(operation)) {
    const row = await before.get(table, id);
    if (row !== undefined && 'siteId' in row && typeof row.siteId === 'string') return row.siteId;
  }
  return null;
}

/** What stands in the log under nobody's name: what Oilcan did by itself when a plan came due, and what came from people without an account. */
export type DoneByNobody = 'plan.make' | 'guest.report' | 'guest.me-too' | 'guest.say';

export async function loggedByNobody(
  name: DoneByNobody,
  changes: readonly Change[],
  before: StagedRecords,
  args: Readonly<Record<string, unknown>>,
  now: Instant,
): Promise<NewlyLogged> {
  return {
    id: randomUUID(),
    name,
    by_person: '',
    device: '',
    at: now,
    ahead: 0,
    known_until: null,
    seen_revision: null,
    args: JSON.stringify(args),
    outcome: JSON.stringify(accepted),
    changed: JSON.stringify(await changedRows(before, changes)),
    device_words: null,
    site: siteOf(changes),
    things: thingsOf(changes, before),
  };
}

/** What a refused operation was about, as far as it says. */
function namedIn({ args }: Operation): string[] {
  const given = typeof args === 'object' && args !== null ? (args as { workOrderId?: unknown; assetId?: unknown }) : {};
  const { workOrderId, assetId } = given;
  return [
    ...(typeof workOrderId === 'string' ? [`workOrders:${workOrderId.slice(0, 64)}`] : []),
    ...(typeof assetId === 'string' ? [`assets:${assetId.slice(0, 64)}`] : []),
  ];
}

/** Of a refused operation so much is kept. */
const REFUSED_ARGS_LENGTH = 2_000;

/**
 * The arguments as they are kept: whole; of a refused operation cut when they are long, and of a private one nothing, both with a
 * digest by which the whole is known again.
 */
function argsKept(operation: Operation, outcome: Outcome): string {
  const whole = JSON.stringify(operation.args) ?? 'null';
  const sha256 = (): string => createHash('sha256').update(whole).digest('hex');
  if (isPrivate(operation)) return JSON.stringify({ sha256: sha256() });
  if (outcome.ok || whole.length <= REFUSED_ARGS_LENGTH) return whole;
  return JSON.stringify({ cut: whole.slice(0, REFUSED_ARGS_LENGTH / 2), sha256: sha256() });
}

/** Whether an operation is the one that was logged, by what was kept of it. */
export function isLoggedAs(known: KnownOperation, operation: Operation): boolean {
  const { name, by_person: by, args } = known;
  if (name !== operation.name || by !== operation.by) return false;
  // One that was accepted before anything was private is kept whole.
  const whole = JSON.stringify(operation.args);
  // Of one that was logged long ago only who did what and when is known.
  return args === FOLDED_ARGS || args === whole || args === argsKept(operation, JSON.parse(known.outcome) as Outcome);
}

/** Writes operations into the log, and by what they are found again. */
export async function writeLog(run: Run, log: readonly NewlyLogged[], now: Instant, revision: number): Promise<void> {
  if (log.length === 0) return;
  const rows = log.map((each) => [...columns.map((column) => each[column]), now, revision]);
  await insertRows(run, 'operations', [...columns, 'received_at', 'revision'], rows, null);
  const things = log.flatMap(({ id, things: of }) => of.map((thing) => [thing, id]));
  await insertRows(run, 'operation_things', ['thing', 'operation'], things, null);
}

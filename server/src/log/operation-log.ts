import { createHash, randomUUID } from 'node:crypto';
import type { Instant } from '@oilcan/core/kernel';
import { accepted, type Operation, type Outcome } from '@oilcan/core/operations';
import type { Person } from '@oilcan/core/people';
import type { Change, StagedRecords } from '@oilcan/core/records';
import { insertRows } from '../db/insert-rows';
import type { Run } from '../db/statements';
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
  readonly person: Person;
  /** What the person's browser says of itself. */
  readonly deviceWords: string | null;
}

/** An operation with what it changed, before that is laid over the records. */
export async function toLog({ operation, outcome, changes, before, person, deviceWords }: Done): Promise<NewlyLogged> {
  return {
    id: operation.id,
    name: operation.name,
    by_person: operation.by,
    device: operation.device,
    at: operation.at,
    ahead: operation.ahead,
    known_until: operation.knownUntil,
    args: outcome.ok ? JSON.stringify(operation.args) : loggedArgs(operation),
    outcome: JSON.stringify(outcome),
    changed: JSON.stringify(await changedRows(before, changes)),
    device_words: deviceWords,
    // What was refused changed nothing; who may look at what the person does may see it.
    site: siteOf(changes) ?? person.siteIds[0] ?? null,
    things: outcome.ok ? thingsOf(changes, before) : namedIn(operation),
  };
}

/** What Oilcan did by itself when a plan came due: it stands in the log under nobody's name. */
export async function loggedByItself(
  changes: readonly Change[],
  before: StagedRecords,
  args: Readonly<Record<string, unknown>>,
  now: Instant,
): Promise<NewlyLogged> {
  return {
    id: randomUUID(),
    name: 'plan.make',
    by_person: '',
    device: '',
    at: now,
    ahead: 0,
    known_until: null,
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

/** The arguments of a refused operation: cut when they are long, with a digest by which the whole is known again. */
export function loggedArgs({ args }: Pick<Operation, 'args'>): string {
  const whole = JSON.stringify(args) ?? 'null';
  if (whole.length <= REFUSED_ARGS_LENGTH) return whole;
  const sha256 = createHash('sha256').update(whole).digest('hex');
  return JSON.stringify({ cut: whole.slice(0, REFUSED_ARGS_LENGTH / 2), sha256 });
}

/** Writes operations into the log, and by what they are found again. */
export async function writeLog(run: Run, log: readonly NewlyLogged[], now: Instant, revision: number): Promise<void> {
  if (log.length === 0) return;
  const rows = log.map((each) => [...columns.map((column) => each[column]), now, revision]);
  await insertRows(run, 'operations', [...columns, 'received_at', 'revision'], rows, null);
  const things = log.flatMap(({ id, things: of }) => of.map((thing) => [thing, id]));
  await insertRows(run, 'operation_things', ['thing', 'operation'], things, null);
}

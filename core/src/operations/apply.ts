import * as yup from 'yup';
import { isErrorCode, type ErrorCode } from '../errors/catalogue';
import { NOT_PLAIN, strangeIn } from '../errors/plain-data';
import { asId, type EntryId, type OperationId, type PersonId } from '../ids/ids';
import { hasRole, type Person } from '../people/people';
import type { Change, Records } from '../records/records';
import { StagedRecords } from '../records/staged-records';
import { SETTINGS_ID } from '../settings/settings';
import { correctedTime } from '../sync/device-clock';
import { addMinutes, parseInstant, tryParseInstant, type Instant } from '../time/instant';
import { isShowable } from './fields';
import { refuse, type Operation, type Outcome, type Refusal } from './operation';
import { definitionOf, isOperationName } from './registry';

/** A hundred years: no clock is further off, and every corrected time keeps a year of four digits. */
const LARGEST_AHEAD = 100 * 365 * 24 * 3_600_000;
const YEARS = { from: 1970, to: 2199 };

/** A phone that was without signal for a year has other troubles; what claims to be older is not taken. */
const LONGEST_DELAY_MINUTES = 366 * 24 * 60;
/** Nobody can know what the server has not told yet; a little is left for messages that cross. */
const KNEW_TOLERANCE_MINUTES = 1;
const NOT_KNOWN = 'Nobody can know what is still to come.';

const UUID_V7 = /^[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/;

const LONGEST_NAME = 64;
const NOT_AN_OPERATION = 'An operation has an id, name, args, at, ahead, knew, by and device, and nothing else.';
const NOT_A_UUID = 'The number of an operation is a UUID of version 7.';
const NOT_A_TIME = 'The time of an operation is ISO 8601 with its offset, from the years 1970 to 2199.';
const NOT_AHEAD = 'How far a device is ahead is a whole number of milliseconds.';
const fieldNames = ['id', 'name', 'args', 'at', 'ahead', 'knew', 'by', 'device'] as const;
const envelopeFields: ReadonlySet<string> = new Set(fieldNames);

/**
 * The form that every operation has, whatever its name; its arguments are left to their schema. Checked by hand
 * because it is the same for every operation of every push.
 */
export function readOperation(given: unknown): { ok: true; value: Operation } | Refusal {
  if (typeof given !== 'object' || given === null) return refuse('invalid', { reason: NOT_AN_OPERATION });
  if (!isEnvelope(given)) return refuse('invalid', { reason: NOT_AN_OPERATION });
  const { id, name, args, at, ahead, knew, by, device } = given;
  const strange = strangeIn(args);
  if (strange !== null) return refuse('invalid', { reason: NOT_PLAIN }, strange);
  if (typeof id !== 'string' || !UUID_V7.test(id)) return refuse('invalid', { reason: NOT_A_UUID }, 'id');
  if (!isTime(at)) return refuse('invalid', { reason: NOT_A_TIME }, 'at');
  if (typeof ahead !== 'number' || !Number.isInteger(ahead) || Math.abs(ahead) > LARGEST_AHEAD)
    return refuse('invalid', { reason: NOT_AHEAD }, 'ahead');
  if (!isTime(knew)) return refuse('invalid', { reason: NOT_A_TIME }, 'knew');
  if (!isShortText(name)) return refuse('invalid', { reason: NOT_AN_OPERATION }, 'name');
  if (!isShortText(by)) return refuse('invalid', { reason: NOT_AN_OPERATION }, 'by');
  if (!isShortText(device)) return refuse('invalid', { reason: NOT_AN_OPERATION }, 'device');
  const value = { id: asId<OperationId>(id), name, args, at, ahead, by: asId<PersonId>(by), device };
  return { ok: true, value: { ...value, knew: parseInstant(knew) } };
}

type Envelope = Readonly<Record<(typeof fieldNames)[number], unknown>>;

function isTime(given: unknown): given is string {
  if (typeof given !== 'string') return false;
  const instant = tryParseInstant(given);
  const year = Number(instant?.slice(0, 4));
  return year >= YEARS.from && year <= YEARS.to;
}

function isEnvelope(given: object): given is Envelope {
  const fields = Object.keys(given);
  return fields.length === envelopeFields.size && fields.every((field) => envelopeFields.has(field));
}

function isShortText(given: unknown): given is string {
  return typeof given === 'string' && given !== '' && given.length <= LONGEST_NAME && isShowable(given);
}

export interface Applied {
  readonly outcome: Outcome;
  /** What it changed; nothing when it was refused. */
  readonly changes: readonly Change[];
}

/**
 * Carries out one operation on records: the one way in which anything changes, on the phone and on the server.
 * The records given are only read; the caller carries the changes there.
 *
 * @param now the present of the side that applies it
 */
export async function applyOperation(
  records: Records,
  operation: Operation,
  person: Person,
  now: Instant,
): Promise<Applied> {
  const staged = new StagedRecords(records);
  const outcome = await judge(staged, operation, person, now);
  return { outcome, changes: outcome.ok ? staged.changes() : [] };
}

async function judge(records: Records, operation: Operation, person: Person, now: Instant): Promise<Outcome> {
  if (!isOperationName(operation.name)) {
    return refuse('operation_unknown', { name: operation.name.slice(0, 64) }, 'name');
  }
  if (operation.by !== person.id) return refuse('not_as_another', {}, 'by');
  const definition = definitionOf(operation.name);
  if (!hasRole(person, definition.roles)) return refuse('role_missing', { roles: definition.roles.join(' or ') });
  const at = correctedTime(operation.at, operation.ahead, now);
  if (at < addMinutes(now, -LONGEST_DELAY_MINUTES)) return refuse('made_too_long_ago');
  if (operation.knew > addMinutes(now, KNEW_TOLERANCE_MINUTES)) return refuse('invalid', { reason: NOT_KNOWN }, 'knew');
  const settings = await records.get('settings', SETTINGS_ID);
  if (settings === undefined) return refuse('not_found', { what: 'settings record' });
  const read = readArgs(definition.schema, operation.args);
  if (!read.ok) return read;
  return definition.apply(records, read.value, {
    operationId: operation.id,
    entryId: asId<EntryId>(operation.id),
    person,
    at,
    clockOffMinutes: Math.round(operation.ahead / 60_000),
    knew: operation.knew,
    now,
    settings,
  });
}

/** Arguments through their schema: typed, or the first thing that is wrong with them. */
export function readArgs<Args>(schema: yup.Schema<Args>, args: unknown): { ok: true; value: Args } | Refusal {
  try {
    return { ok: true, value: schema.validateSync(args, { abortEarly: true }) };
  } catch (error) {
    if (error instanceof yup.ValidationError) return refusalOf(error);
    throw error;
  }
}

function refusalOf(error: yup.ValidationError): Refusal {
  const field = error.path === undefined || error.path === '' ? null : error.path;
  const code: ErrorCode = isErrorCode(error.message) ? error.message : 'invalid';
  if (code === 'text_too_long') {
    const given: unknown = error.params?.['originalValue'] ?? error.params?.['value'];
    const length = typeof given === 'string' ? given.length : 0;
    const limit = Number(error.params?.['limit'] ?? error.params?.['max'] ?? 0);
    return refuse(code, { length, limit }, field);
  }
  return refuse(code, code === 'invalid' ? { reason: error.message } : {}, field);
}

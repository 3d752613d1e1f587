import { NOT_PLAIN, strangeIn } from '../kernel/errors/plain-data';
import { asId, type OperationId, type PersonId } from '../kernel/ids';
import { isShowable } from '../kernel/schema/fields';
import { parseInstant, tryParseInstant } from '../kernel/time/instant';
import type { Revision } from './known';
import { refuse, type Operation, type Refusal } from './operation';

/** A hundred years: no clock is further off, and every corrected time keeps a year of four digits. */
const LARGEST_AHEAD = 100 * 365 * 24 * 3_600_000;
const YEARS = { from: 1970, to: 2199 };

const UUID_V7 = /^[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/;

const LONGEST_NAME = 64;
const NOT_AN_OPERATION =
  'An operation has an id, name, args, at, ahead, knownUntil, by and device, may have a seenRevision, and has nothing else.';
const NOT_A_REVISION = 'A revision is a whole number from 0 on.';
const NOT_A_UUID = 'The number of an operation is a UUID of version 7.';
const NOT_A_TIME = 'The time of an operation is ISO 8601 with its offset, from the years 1970 to 2199.';
const NOT_AHEAD = 'How far a device is ahead is a whole number of milliseconds.';
const fieldNames = ['id', 'name', 'args', 'at', 'ahead', 'knownUntil', 'by', 'device'] as const;
const envelopeFields: ReadonlySet<string> = new Set(fieldNames);

/**
 * The form that every operation has, whatever its name; its arguments are left to their schema. Checked by hand
 * because it is the same for every operation of every push.
 */
export function readOperation(given: unknown): { ok: true; value: Operation } | Refusal {
  if (typeof given !== 'object' || given === null) return refuse('invalid', { reason: NOT_AN_OPERATION });
  if (!isEnvelope(given)) return refuse('invalid', { reason: NOT_AN_OPERATION });
  const { id, name, args, at, ahead, knownUntil, seenRevision, by, device } = given;
  const strange = strangeIn(args);
  if (strange !== null) return refuse('invalid', { reason: NOT_PLAIN }, strange);
  if (typeof id !== 'string' || !UUID_V7.test(id)) return refuse('invalid', { reason: NOT_A_UUID }, 'id');
  if (!isTime(at)) return refuse('invalid', { reason: NOT_A_TIME }, 'at');
  if (typeof ahead !== 'number' || !Number.isInteger(ahead) || Math.abs(ahead) > LARGEST_AHEAD)
    return refuse('invalid', { reason: NOT_AHEAD }, 'ahead');
  if (!isTime(knownUntil)) return refuse('invalid', { reason: NOT_A_TIME }, 'knownUntil');
  if (seenRevision !== undefined && !isRevision(seenRevision))
    return refuse('invalid', { reason: NOT_A_REVISION }, 'seenRevision');
  if (!isShortText(name)) return refuse('invalid', { reason: NOT_AN_OPERATION }, 'name');
  if (!isShortText(by)) return refuse('invalid', { reason: NOT_AN_OPERATION }, 'by');
  if (!isShortText(device)) return refuse('invalid', { reason: NOT_AN_OPERATION }, 'device');
  const value = { id: asId<OperationId>(id), name, args, at, ahead, by: asId<PersonId>(by), device };
  const seen = seenRevision === undefined ? {} : { seenRevision };
  return { ok: true, value: { ...value, knownUntil: parseInstant(knownUntil), ...seen } };
}

type Envelope = Readonly<Record<(typeof fieldNames)[number], unknown>> & { readonly seenRevision?: unknown };

const isRevision = (given: unknown): given is Revision => Number.isSafeInteger(given) && (given as number) >= 0;

function isTime(given: unknown): given is string {
  if (typeof given !== 'string') return false;
  const instant = tryParseInstant(given);
  const year = Number(instant?.slice(0, 4));
  return year >= YEARS.from && year <= YEARS.to;
}

function isEnvelope(given: object): given is Envelope {
  const fields = Object.keys(given);
  const always = fields.filter((field) => field !== 'seenRevision');
  return always.length === envelopeFields.size && always.every((field) => envelopeFields.has(field));
}

function isShortText(given: unknown): given is string {
  return typeof given === 'string' && given !== '' && given.length <= LONGEST_NAME && isShowable(given);
}

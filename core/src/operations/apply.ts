import * as yup from 'yup';
import { isErrorCode, type ErrorCode } from '../errors/catalogue';
import { asId, type EntryId } from '../ids/ids';
import { hasRole, type Person } from '../people/people';
import type { Change, Records } from '../records/records';
import { StagedRecords } from '../records/staged-records';
import { SETTINGS_ID } from '../settings/settings';
import { addMinutes, parseInstant, type Instant } from '../time/instant';
import { instantField } from './fields';
import { refuse, type Operation, type Outcome, type Refusal } from './operation';
import { definitionOf, isOperationName } from './registry';

/** How far a device's clock may run ahead before an operation is refused for it. */
export const CLOCK_TOLERANCE_MINUTES = 5;

const UUID_V7 = /^[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/;

/** The form that every operation has, whatever its name. */
export const operationSchema = yup
  .object({
    id: yup.string().strict().required().matches(UUID_V7, 'The number of an operation is a UUID of version 7.'),
    name: yup.string().strict().required().max(64),
    args: yup.mixed().defined().nullable(),
    at: instantField(),
    by: yup.string().strict().required().max(64),
    device: yup.string().strict().required().max(64),
  })
  .noUnknown()
  .strict()
  .required();

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
  const at = parseInstant(operation.at);
  if (at > addMinutes(now, CLOCK_TOLERANCE_MINUTES)) return refuse('made_in_future', {}, 'at');
  const settings = await records.get('settings', SETTINGS_ID);
  if (settings === undefined) return refuse('not_found', { what: 'settings record' });
  const read = readArgs(definition.schema, operation.args);
  if (!read.ok) return read;
  return definition.apply(records, read.value, {
    operationId: operation.id,
    entryId: asId<EntryId>(operation.id),
    person,
    at,
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

import type { Revision } from './known';
import { asId, type EntryId } from '../kernel/ids';
import { addMinutes } from '../kernel/time/instant';
import type { Change, Records } from '../records/records';
import { StagedRecords } from '../records/staged-records';
import { hasRole, type Actor } from './actor';
import {
  accepted,
  refuse,
  type AnyOperation,
  type Governs,
  type Operation,
  type Outcome,
  type Side,
} from './operation';
import { readArgs } from './read-args';
import { correctedTime } from './stamp';

/** A phone that was without signal for a year has other troubles; what claims to be older is not taken. */
const LONGEST_DELAY_MINUTES = 366 * 24 * 60;
/** Nobody can know what the server has not told yet; a little is left for messages that cross. Who says a revision is asked for no time. */
const KNOWN_TOLERANCE_MINUTES = 1;
const NOT_KNOWN = 'Nobody can know what is still to come.';

/** Every operation by its name. */
export type OperationSet = Readonly<Record<string, AnyOperation>>;

export interface Applied {
  readonly outcome: Outcome;
  /** What it changed; nothing when it was refused. */
  readonly changes: readonly Change[];
}

/**
 * Carries out one operation on records: the one way in which anything changes, on the phone and on the server.
 * The records given are only read; the caller carries the changes there.
 */
export async function applyOneOf(
  operations: OperationSet,
  records: Records,
  operation: Operation,
  person: Actor,
  side: Side,
): Promise<Applied> {
  const staged = new StagedRecords(records);
  const outcome = await outcomeOf(operations, staged, operation, person, side);
  return { outcome, changes: outcome.ok ? staged.changes() : [] };
}

async function outcomeOf(
  operations: OperationSet,
  records: Records,
  operation: Operation,
  person: Actor,
  side: Side,
): Promise<Outcome> {
  const { now } = side;
  const definition = Object.hasOwn(operations, operation.name) ? operations[operation.name] : undefined;
  if (definition === undefined) return refuse('operation_unknown', { name: operation.name.slice(0, 64) }, 'name');
  if (operation.by !== person.id) return refuse('not_as_another', {}, 'by');
  if (!hasRole(person, definition.roles)) return refuse('role_missing', { roles: definition.roles.join(' or ') });
  const at = correctedTime(operation.at, operation.ahead, now);
  if (at < addMinutes(now, -LONGEST_DELAY_MINUTES)) return refuse('made_too_long_ago');
  const seenRevision = seenOn(side, operation);
  if (seenRevision === null && operation.knownUntil > addMinutes(now, KNOWN_TOLERANCE_MINUTES)) {
    return refuse('invalid', { reason: NOT_KNOWN }, 'knownUntil');
  }
  const read = readArgs(definition.schema, operation.args);
  if (!read.ok) return read;
  const may = mayGovern(definition.governs, read.value, person);
  if (!may.ok) return may;
  return definition.apply(records, read.value, {
    operationId: operation.id,
    entryId: asId<EntryId>(operation.id),
    person,
    at,
    clockOffMinutes: Math.round(operation.ahead / 60_000),
    knownUntil: operation.knownUntil,
    seenRevision,
    ...side,
  });
}

/** What was seen is not later than what there is: a phone that saw more speaks of a database that was put back to an earlier state. */
function seenOn({ revision }: Side, { seenRevision }: Operation): Revision | null {
  if (seenRevision === undefined) return null;
  return revision !== null && seenRevision >= revision ? null : seenRevision;
}

/** Whether a person may set rules for what an operation sets them for. */
function mayGovern(governs: Governs, args: Readonly<Record<string, unknown>>, person: Actor): Outcome {
  switch (governs) {
    case 'nothing':
      return accepted;
    case 'site': {
      const isTheirs = person.siteIds.some((siteId) => siteId === args['siteId']);
      return isTheirs ? accepted : refuse('not_found', { what: 'site' }, 'siteId');
    }
    case 'everything':
      return person.isResponsibleForAll === true ? accepted : refuse('not_responsible_for_all');
  }
}

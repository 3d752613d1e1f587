import type { Instant, PersonId } from '@oilcan/core/kernel';
import type { Outcome } from '@oilcan/core/operations';
import type { Person } from '@oilcan/core/plant/people';
import type { LogAnswer, LoggedOperation, LoggedRow } from '@oilcan/core/sync';
import type { Knex } from 'knex';
import { EVERY_SITE } from './operation-log';

/** So many are given at once. */
const AT_ONCE = 100;

/** What is asked for; what is left out narrows nothing. */
export interface LogQuestion {
  /** `table:id`. */
  readonly thing?: string;
  readonly by?: PersonId;
  readonly name?: string;
  readonly from?: Instant;
  readonly to?: Instant;
  /** From where a page before it went on. */
  readonly before?: string;
}

interface Stored {
  readonly id: string;
  readonly name: string;
  readonly by_person: string;
  readonly device: string;
  readonly device_words: string | null;
  readonly at: string;
  readonly received_at: Instant;
  readonly args: string;
  readonly outcome: string;
  readonly changed: string | null;
}

/** What was done on the sites of a person, the newest first. */
export async function readLog(database: Knex, person: Person, asked: LogQuestion): Promise<LogAnswer> {
  const query = database<Stored>('operations').whereIn('site', [...person.siteIds, EVERY_SITE]);
  if (asked.thing !== undefined)
    query.whereIn('id', database('operation_things').where('thing', asked.thing).select('operation'));
  if (asked.by !== undefined) query.where('by_person', asked.by);
  if (asked.name !== undefined) query.where('name', asked.name);
  if (asked.from !== undefined) query.where('received_at', '>=', asked.from);
  if (asked.to !== undefined) query.where('received_at', '<', asked.to);
  const [receivedAt, id] = asked.before?.split(' ') ?? [];
  if (receivedAt !== undefined && id !== undefined)
    query.where((older) =>
      older
        .where('received_at', '<', receivedAt as Instant)
        .orWhere((same) => same.where('received_at', receivedAt as Instant).where('id', '<', id)),
    );
  const stored: Stored[] = await query
    .orderBy([
      { column: 'received_at', order: 'desc' },
      { column: 'id', order: 'desc' },
    ])
    .limit(AT_ONCE + 1)
    .select('id', 'name', 'by_person', 'device', 'device_words', 'at', 'received_at', 'args', 'outcome', 'changed');
  const page = stored.slice(0, AT_ONCE);
  const last = stored.length > AT_ONCE ? page.at(-1) : undefined;
  return {
    operations: page.map(readStored),
    before: last === undefined ? null : `${last.received_at} ${last.id}`,
  };
}

function readStored(stored: Stored): LoggedOperation {
  return {
    id: stored.id,
    name: stored.name,
    by: stored.by_person,
    device: stored.device,
    deviceWords: stored.device_words,
    at: stored.at,
    receivedAt: stored.received_at,
    args: JSON.parse(stored.args) as unknown,
    outcome: JSON.parse(stored.outcome) as Outcome,
    changed: stored.changed === null ? null : (JSON.parse(stored.changed) as LoggedRow[]),
  };
}

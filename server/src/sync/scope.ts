import { createHash } from 'node:crypto';
import { isHere, type Person } from '@oilcan/core/plant/people';
import type { Viewer } from '@oilcan/core/records';
import { VERSION_IN_SCOPES, type Revision } from '@oilcan/core/sync';
import { viewerOf } from '@oilcan/core/orders/settings';
import { fullyReplicatedFor } from '@oilcan/core/orders/work';
import type { Knex } from 'knex';
import { audiencesOf, type Audience } from '../database/feed/audiences';
import { newestWithin } from '../database/feed/newest';
import { runnerOf, type Run } from '../database/statements';
import { keptDirectory } from '../directory/directory';

/** What a person may see and carries, and its name: when that changes, the phone begins anew. */
export interface Scope {
  readonly name: string;
  readonly siteIds: readonly string[];
  readonly wholeFor: 'all' | readonly string[];
  readonly viewer: Viewer;
  readonly audiences: readonly Audience[];
}

/** The scope of a person in this database, for a phone that speaks a version of the protocol. */
export async function scopeOf(database: Knex, person: Person, version?: number): Promise<Scope> {
  const run = await runnerOf(database);
  const { scopes } = await newestWithin(run);
  return scopeWithin(database, run, scopes, person, version);
}

/**
 * As `scopeOf`, within a transaction that writes nothing.
 *
 * @param database of which it is a transaction
 * @param since the revision since which what decides the scopes stands
 */
export async function scopeWithin(
  database: Knex,
  run: Run,
  since: Revision,
  person: Person,
  version: number = VERSION_IN_SCOPES,
): Promise<Scope> {
  const { identity, crews, settings } = await keptDirectory(database, run, since);
  const carried = fullyReplicatedFor(person, crews);
  const wholeFor = carried === 'all' ? carried : [...carried].sort();
  const siteIds = [...person.siteIds].sort();
  const viewer = viewerOf(person, settings);
  const named = Math.min(version, VERSION_IN_SCOPES);
  const text = JSON.stringify([identity, siteIds, wholeFor, [...viewer.mayKnow], named, isHere(person)]);
  return {
    name: createHash('sha256').update(text).digest('hex').slice(0, 16),
    siteIds,
    wholeFor,
    viewer,
    audiences: audiencesOf({ id: person.id, siteIds, wholeFor }),
  };
}

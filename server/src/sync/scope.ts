import { createHash } from 'node:crypto';
import { isHere, type Crew, type Person } from '@oilcan/core/people';
import type { Viewer } from '@oilcan/core/records';
import { SETTINGS_ID, viewerOf, type Settings } from '@oilcan/core/settings';
import { NEWEST_VERSION } from '@oilcan/core/registry';
import { PROTOCOL } from '@oilcan/core/sync';
import { carriesWholeFor } from '@oilcan/core/work';
import type { Knex } from 'knex';
import { readRow, type StoredRow } from '../database/sql-records';

/** What a person may see and carries, and its name: when that changes, the phone begins anew. */
export interface Scope {
  readonly name: string;
  readonly siteIds: readonly string[];
  readonly wholeFor: 'all' | readonly string[];
  readonly person: Person;
  readonly viewer: Viewer;
  /** The version of the protocol on which phone and server agreed. */
  readonly version: number;
}

/** The scope of a person in this database, for a phone that speaks a version of the protocol. */
export async function scopeOf(database: Knex, person: Person, version: number = PROTOCOL.newest): Promise<Scope> {
  const identity: { id: string } | undefined = await database('identity').first('id');
  const crews: StoredRow[] = await database<StoredRow>('crews').select('id', 'revision', 'body');
  const carried = carriesWholeFor(
    person,
    crews.map((each): Crew => readRow('crews', each)),
  );
  const wholeFor = carried === 'all' ? carried : [...carried].sort();
  const siteIds = [...person.siteIds].sort();
  const viewer = viewerOf(person, await settingsOf(database));
  // A phone that was brought up to date fetches what it could not know before.
  const rowsOf = Math.min(version, NEWEST_VERSION);
  const named = JSON.stringify([identity?.id, siteIds, wholeFor, [...viewer.mayKnow], rowsOf, isHere(person)]);
  return {
    name: createHash('sha256').update(named).digest('hex').slice(0, 16),
    siteIds,
    wholeFor,
    person,
    viewer,
    version,
  };
}

async function settingsOf(database: Knex): Promise<Settings | undefined> {
  const stored: StoredRow | undefined = await database<StoredRow>('settings').where('id', SETTINGS_ID).first();
  return stored === undefined ? undefined : readRow('settings', stored);
}

import { createHash } from 'node:crypto';
import { isHere, type Crew, type Person } from '@oilcan/core/plant/people';
import type { Viewer } from '@oilcan/core/records';
import { VERSION_IN_SCOPES, type Revision } from '@oilcan/core/sync';
import { SETTINGS_ID, viewerOf, type Settings } from '@oilcan/core/orders/settings';
import { carriesWholeFor } from '@oilcan/core/orders/work';
import type { Knex } from 'knex';
import { audiencesOf, type Audience } from '../database/feed/audiences';
import { SCOPES_COUNTER } from '../database/feed/scopes-changed';
import { readRow, type StoredRow } from '../database/sql-records';
import { runnerOf, type Run } from '../database/statements';

/** What a person may see and carries, and its name: when that changes, the phone begins anew. */
export interface Scope {
  readonly name: string;
  readonly siteIds: readonly string[];
  readonly wholeFor: 'all' | readonly string[];
  readonly viewer: Viewer;
  readonly audiences: readonly Audience[];
}

/** How far the database is, and since when what decides the scopes stands. */
export interface Standing {
  readonly newest: Revision;
  readonly scopesSince: Revision;
}

export async function standingWithin(run: Run): Promise<Standing> {
  const counters = await run<{ name: string; value: number | string }>(
    'SELECT name, value FROM counters WHERE name IN (?, ?)',
    ['revision', SCOPES_COUNTER],
  );
  const valueOf = (name: string): Revision => Number(counters.find((each) => each.name === name)?.value ?? 0);
  return { newest: valueOf('revision'), scopesSince: valueOf(SCOPES_COUNTER) };
}

export async function standingOf(database: Knex): Promise<Standing> {
  return standingWithin(await runnerOf(database));
}

/** What decides the scopes of everybody. */
interface Governing {
  readonly since: Revision;
  readonly identity: string;
  readonly crews: readonly Crew[];
  readonly settings: Settings | undefined;
}

/** As last read from each database: few rows, which every pull needs and which hardly ever change. */
const lastRead = new WeakMap<Knex, Governing>();

async function governingOf(database: Knex, run: Run, since: Revision): Promise<Governing> {
  const known = lastRead.get(database);
  if (known?.since === since) return known;
  const [identity] = await run<{ id: string }>('SELECT id FROM identity', []);
  const crews = await run<StoredRow>('SELECT body FROM crews ORDER BY id', []);
  const [settings] = await run<StoredRow>('SELECT body FROM settings WHERE id = ?', [SETTINGS_ID]);
  const read: Governing = {
    since,
    identity: identity?.id ?? '',
    crews: crews.map((each) => readRow('crews', each)),
    settings: settings === undefined ? undefined : readRow('settings', settings),
  };
  lastRead.set(database, read);
  return read;
}

/** The scope of a person in this database, for a phone that speaks a version of the protocol. */
export async function scopeOf(database: Knex, person: Person, version?: number): Promise<Scope> {
  const run = await runnerOf(database);
  const { scopesSince } = await standingWithin(run);
  return scopeWithin(database, run, scopesSince, person, version);
}

/**
 * As `scopeOf`, within a transaction.
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
  const { identity, crews, settings } = await governingOf(database, run, since);
  const carried = carriesWholeFor(person, crews);
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

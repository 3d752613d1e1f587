import { createHash, randomBytes, randomUUID } from 'node:crypto';
import { addMinutes, asId, instantFromMillis, type Instant, type PersonId } from '@oilcan/core/kernel';
import type { Knex } from 'knex';

export const SESSION_COOKIE = 'oilcan_session';
/** A phone that was not used for this long signs in again. */
export const SESSION_DAYS = 30;
const SESSION_MINUTES = SESSION_DAYS * 24 * 60;
/** That a session is used is noted at most so often. */
const NOTED_EVERY_MINUTES = 60;

function digest(token: string): string {
  return createHash('sha256').update(token).digest('hex');
}

interface StoredSession {
  readonly id: string;
  readonly person: string;
  readonly created_at: Instant;
  readonly expires_at: Instant;
  readonly last_used_at: Instant;
  readonly device: string;
}

/** A session as its person may see it. */
export interface ShownSession {
  readonly id: string;
  /** Browser and system, as the browser says. */
  readonly device: string;
  readonly signedInAt: Instant;
  readonly lastUsedAt: Instant;
}

/** Opens a session and gives its token, of which only a digest is kept. */
export async function openSession(
  database: Knex,
  person: PersonId,
  device: string,
  nowMillis: number,
): Promise<string> {
  const token = randomBytes(32).toString('base64url');
  const now = instantFromMillis(nowMillis);
  await database('sessions').where('expires_at', '<', now).delete();
  await database('sessions').insert({
    token_hash: digest(token),
    id: randomUUID(),
    person,
    created_at: now,
    last_used_at: now,
    expires_at: addMinutes(now, SESSION_MINUTES),
    device,
  });
  return token;
}

/** Whose session it is and what it is called, or undefined when there is none or it has ended. Its time counts anew. */
export async function sessionOfToken(
  database: Knex,
  token: string,
  nowMillis: number,
): Promise<
  { readonly id: string; readonly personId: PersonId; readonly device: string; readonly isRenewed: boolean } | undefined
> {
  const stored: StoredSession | undefined = await database<StoredSession>('sessions')
    .where('token_hash' as never, digest(token))
    .first();
  const now = instantFromMillis(nowMillis);
  if (stored === undefined || stored.expires_at < now) return undefined;
  const isRenewed = stored.last_used_at < addMinutes(now, -NOTED_EVERY_MINUTES);
  if (isRenewed) {
    await database('sessions')
      .where('id', stored.id)
      .update({ last_used_at: now, expires_at: addMinutes(now, SESSION_MINUTES) });
  }
  return { id: stored.id, personId: asId<PersonId>(stored.person), device: stored.device, isRenewed };
}

/** The sessions of a person that have not ended, the last used first. */
export async function sessionsOf(database: Knex, person: PersonId, nowMillis: number): Promise<ShownSession[]> {
  const stored: StoredSession[] = await database<StoredSession>('sessions')
    .where('person', person)
    .where('expires_at', '>=', instantFromMillis(nowMillis))
    .orderBy('last_used_at', 'desc');
  return stored.map(({ id, device, created_at, last_used_at }) => ({
    id,
    device,
    signedInAt: created_at,
    lastUsedAt: last_used_at,
  }));
}

/** Ends a session of a person; gives whether there was one. */
export async function endSession(database: Knex, person: PersonId, id: string): Promise<boolean> {
  return (await database('sessions').where({ id, person }).delete()) > 0;
}

/** Ends all sessions of a person but one, and gives which. */
export async function endOtherSessions(database: Knex, person: PersonId, but: string): Promise<Set<string>> {
  const others: string[] = await database('sessions').where('person', person).whereNot('id', but).pluck('id');
  await database('sessions').where('person', person).whereNot('id', but).delete();
  return new Set(others);
}

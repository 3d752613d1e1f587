import { createHash, randomBytes } from 'node:crypto';
import { addMinutes, asId, instantFromMillis, type PersonId } from '@oilcan/core';
import type { Knex } from 'knex';

/** A phone that was not used for this long signs in again. */
export const SESSION_DAYS = 30;
const SESSION_MINUTES = SESSION_DAYS * 24 * 60;

function digest(token: string): string {
  return createHash('sha256').update(token).digest('hex');
}

/** Opens a session and gives its token, of which only a digest is kept. */
export async function openSession(database: Knex, person: PersonId, nowMillis: number): Promise<string> {
  const token = randomBytes(32).toString('base64url');
  const now = instantFromMillis(nowMillis);
  await database('sessions').where('expires_at', '<', now).delete();
  await database('sessions').insert({
    token_hash: digest(token),
    person,
    created_at: now,
    expires_at: addMinutes(now, SESSION_MINUTES),
  });
  return token;
}

/** Whose session it is, or undefined when there is none or it has ended. */
export async function personOfSession(database: Knex, token: string, nowMillis: number): Promise<PersonId | undefined> {
  const session: { person: string; expires_at: string } | undefined = await database('sessions')
    .where('token_hash', digest(token))
    .first('person', 'expires_at');
  if (session === undefined || session.expires_at < instantFromMillis(nowMillis)) return undefined;
  return asId<PersonId>(session.person);
}

export async function closeSession(database: Knex, token: string): Promise<void> {
  await database('sessions').where('token_hash', digest(token)).delete();
}

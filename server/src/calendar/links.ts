import { createHash, randomBytes } from 'node:crypto';
import { asId, type Instant, type PersonId } from '@oilcan/core/kernel';
import type { Knex } from 'knex';

interface StoredLink {
  readonly token_hash: string;
  readonly person: string;
  readonly made_at: Instant;
  readonly read_at: Instant | null;
}

const digest = (token: string): string => createHash('sha256').update(token).digest('hex');

/** The link of a person, which says nothing of its token; null for none. */
export async function linkOf(
  database: Knex,
  person: PersonId,
): Promise<{ readonly madeAt: Instant; readonly readAt: Instant | null } | null> {
  const stored: StoredLink | undefined = await database<StoredLink>('calendar_links').where('person', person).first();
  return stored === undefined ? null : { madeAt: stored.made_at, readAt: stored.read_at };
}

/** A new link in the place of the one before; gives its token, which is not kept. */
export async function makeLink(database: Knex, person: PersonId, now: Instant): Promise<string> {
  const token = randomBytes(32).toString('base64url');
  await database.transaction(async (transaction) => {
    await withdrawLink(transaction, person);
    await transaction('calendar_links').insert({ token_hash: digest(token), person, made_at: now, read_at: null });
  });
  return token;
}

/** From now on the link leads nowhere. */
export async function withdrawLink(database: Knex, person: PersonId): Promise<void> {
  await database('calendar_links').where('person', person).delete();
}

/** Whose link it is; undefined for one that was never made, or is withdrawn. Notes that it was read. */
export async function personOfLink(database: Knex, token: string, now: Instant): Promise<PersonId | undefined> {
  const hash = digest(token);
  const stored: StoredLink | undefined = await database<StoredLink>('calendar_links').where('token_hash', hash).first();
  if (stored === undefined) return undefined;
  await database('calendar_links').where('token_hash', hash).update({ read_at: now });
  return asId<PersonId>(stored.person);
}

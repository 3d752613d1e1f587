import { instantFromMillis } from '@oilcan/core/kernel';
import { noticeHeadlines, type Notice } from '@oilcan/core/notices';
import { noticeDetail } from '@oilcan/core/registry';
import { SETTINGS_ID, type Settings } from '@oilcan/core/settings';
import { retryDelay } from '@oilcan/core/sync';
import type { Knex } from 'knex';
import type { Mail, MailSender } from '../standins/mail';
import { allOf } from './notices-of-push';

const AT_ONCE = 50;
/** After so many tries, about twenty minutes, a mail is put aside and shown to a lead. */
const MOST_TRIES = 10;

interface Queued {
  readonly id: number;
  readonly person: string;
  readonly notice: string;
  readonly mail_id: string;
  readonly tries: number;
}

/**
 * Sends the mails that wait, and notes what went out. A mail keeps its name through every try, so that one that went out
 * just before the server stopped is known again by whoever gets it. One that cannot be sent is tried ever more rarely, holds
 * up no other, and is put aside in the end.
 */
export async function deliverMails(
  database: Knex,
  sender: MailSender,
  nowMillis: number,
  chance: () => number = Math.random,
): Promise<number> {
  const now = instantFromMillis(nowMillis);
  const queued: Queued[] = await database<Queued>('mail_queue')
    .whereNull('put_aside_at' as never)
    .where((due) => due.whereNull('next_try_at' as never).orWhere('next_try_at' as never, '<=', now))
    .orderBy('id')
    .limit(AT_ONCE);
  if (queued.length === 0) return 0;
  const names = new Map((await allOf(database, 'people')).map(({ id, name }): [string, string] => [id, name]));
  const zone = await zoneOf(database);
  let sent = 0;
  for (const each of queued) {
    const mail = mailOf(each, names.get(each.person) ?? each.person, zone);
    try {
      await sender.send(mail);
    } catch {
      await noteFailure(database, each, nowMillis, chance());
      continue;
    }
    await database.transaction(async (transaction) => {
      await transaction('mail_queue').where('id', each.id).delete();
      await transaction('mails')
        .insert({ id: mail.id, person: each.person, subject: mail.subject, body: mail.text, sent_at: now })
        .onConflict('id')
        .ignore();
    });
    sent += 1;
  }
  return sent;
}

function mailOf({ mail_id, person, notice }: Queued, name: string, zone: string): Mail {
  const told = JSON.parse(notice) as Notice;
  const { kind, number, title } = told;
  const detail = noticeDetail(told, zone);
  return {
    id: mail_id,
    to: { name, address: `${person}@oilcan.invalid` },
    subject: `${noticeHeadlines[kind]}: ${number} ${title}`,
    text: `${number} ${title}\n${detail === '' ? noticeHeadlines[kind] : detail}\n\nOilcan tells you this because you chose to hear of it by mail.\n`,
  };
}

async function noteFailure(database: Knex, { id, tries }: Queued, nowMillis: number, chance: number): Promise<void> {
  const failures = tries + 1;
  await database('mail_queue')
    .where('id', id)
    .update({
      tries: failures,
      next_try_at: instantFromMillis(nowMillis + retryDelay(failures, chance)),
      put_aside_at: failures >= MOST_TRIES ? instantFromMillis(nowMillis) : null,
    });
}

async function zoneOf(database: Knex): Promise<string> {
  const stored: { body: string } | undefined = await database('settings').where('id', SETTINGS_ID).first('body');
  return stored === undefined ? 'UTC' : (JSON.parse(stored.body) as Settings).zone;
}

import { randomUUID } from 'node:crypto';
import { instantFromMillis, type Notice, type NoticeKind } from '@oilcan/core';
import type { Knex } from 'knex';
import type { MailSender } from '../standins/mail';
import { allOf } from './notices-of-push';

const AT_ONCE = 50;

const subjects: Readonly<Record<NoticeKind, string>> = {
  given: 'Given to you',
  late: 'Late',
  handedBack: 'Handed back',
  changed: 'Changed',
  short: 'Parts short for tomorrow',
};

interface Queued {
  readonly id: number;
  readonly person: string;
  readonly notice: string;
}

/** Sends the mails that wait, and notes what went out. One that cannot be sent stays for the next time. */
export async function deliverMails(database: Knex, sender: MailSender, nowMillis: number): Promise<number> {
  const queued: Queued[] = await database<Queued>('mail_queue').orderBy('id').limit(AT_ONCE);
  if (queued.length === 0) return 0;
  const names = new Map((await allOf(database, 'people')).map(({ id, name }): [string, string] => [id, name]));
  let sent = 0;
  for (const { id, person, notice } of queued) {
    const { kind, number, title, detail } = JSON.parse(notice) as Notice;
    const mail = {
      id: randomUUID(),
      to: { name: names.get(person) ?? person, address: `${person}@oilcan.invalid` },
      subject: `${subjects[kind]}: ${number} ${title}`,
      text: `${number} ${title}\n${detail === '' ? subjects[kind] : detail}\n\nOilcan tells you this because you chose to hear of it by mail.\n`,
    };
    await sender.send(mail);
    await database.transaction(async (transaction) => {
      await transaction('mail_queue').where('id', id).delete();
      const sent_at = instantFromMillis(nowMillis);
      await transaction('mails').insert({ id: mail.id, person, subject: mail.subject, body: mail.text, sent_at });
    });
    sent += 1;
  }
  return sent;
}

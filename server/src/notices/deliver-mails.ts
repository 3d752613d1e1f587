import { instantFromMillis } from '@oilcan/core/kernel';
import { noticeHeadlines, type Notice } from '@oilcan/core/overview/notices';
import { noticeDetail } from '@oilcan/core/registry';
import type { Knex } from 'knex';
import { directoryOf } from '../directory/directory';
import { deliverQueued } from '../mails/deliver-queued';
import type { Mail, MailSender } from '../standins/mail';

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
  // Most of the time nothing waits, and nobody's name is needed.
  let people: Promise<{ readonly names: ReadonlyMap<string, string>; readonly zone: string }> | undefined;
  const mailTo = async (queued: Queued): Promise<Mail> => {
    const { names, zone } = await (people ??= namesAndZone(database));
    return mailOf(queued, names.get(queued.person) ?? queued.person, zone);
  };
  return deliverQueued<Queued>(database, 'mail_queue', {
    nowMillis,
    chance,
    send: async (queued) => sender.send(await mailTo(queued)),
    noteSent: async (transaction, queued) => {
      const { id, subject, text: body } = await mailTo(queued);
      await transaction('mails')
        .insert({ id, person: queued.person, subject, body, sent_at: now })
        .onConflict('id')
        .ignore();
    },
  });
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

async function namesAndZone(
  database: Knex,
): Promise<{ readonly names: ReadonlyMap<string, string>; readonly zone: string }> {
  const { people, settings } = await directoryOf(database);
  return { names: new Map(people.map(({ id, name }) => [id, name])), zone: settings?.zone ?? 'UTC' };
}

import { randomUUID } from 'node:crypto';
import type { Change } from '@oilcan/core/records';
import { mailAddressIn } from '@oilcan/core/raising/guests';
import { type Report, type ReportEvent } from '@oilcan/core/raising/reports';
import type { Knex } from 'knex';
import { SqlRecords } from '../database/sql-records';
import { deliverQueued } from '../mails/deliver-queued';
import type { Mail, MailSender } from '../standins/mail';
import { eventWords } from './guest-sentences';

/** What its reporter is told of by mail; what they said themselves is not. */
const toldByMail: ReadonlySet<ReportEvent['is']> = new Set([
  'asked',
  'confirmed',
  'taken',
  'declined',
  'solved',
  'reopened',
  'dropped',
]);

/** Reporters without an account who gave an address for mail hear of every answer. Reads the rows as they were before. */
export async function queueGuestMails(
  transaction: Knex.Transaction,
  records: SqlRecords,
  changes: readonly Change[],
): Promise<void> {
  for (const change of changes) {
    if (change.table !== 'reports' || change.row === null) continue;
    const { guest, events } = change.row;
    if (guest === null || mailAddressIn(guest) === null) continue;
    const before = new Set((await records.get('reports', change.id))?.events.map(({ id }) => id));
    const rows = events
      .filter(({ id, is }) => !before.has(id) && toldByMail.has(is))
      .map(({ id }) => ({ id: randomUUID(), report: change.id, event: id }));
    if (rows.length > 0) await transaction('guest_mail_queue').insert(rows);
  }
}

interface Queued {
  readonly id: string;
  readonly report: string;
  readonly event: string;
  readonly tries: number;
}

/** Sends the mails to reporters that wait. Gives how many went out. */
export function deliverGuestMails(
  database: Knex,
  mail: MailSender,
  nowMillis: number,
  chance?: () => number,
): Promise<number> {
  return deliverQueued<Queued>(database, 'guest_mail_queue', {
    nowMillis,
    ...(chance === undefined ? {} : { chance }),
    send: async ({ id, report, event }) => mail.send(await mailOf(database, id, report, event)),
  });
}

async function mailOf(database: Knex, id: string, reportId: string, eventId: string): Promise<Mail> {
  const report = await database.transaction((transaction): Promise<Report | undefined> =>
    new SqlRecords(transaction).get('reports', reportId),
  );
  const event = report?.events.find((each) => each.id === eventId);
  const address = report?.guest === null || report === undefined ? null : mailAddressIn(report.guest);
  if (report === undefined || event === undefined || address === null)
    throw new Error(`Nobody to tell of ${reportId}.`);
  const said = event.is === 'asked' ? event.words : event.is === 'declined' ? event.reason : '';
  return {
    id,
    to: { name: report.guest?.name ?? '', address },
    subject: `${report.number}: ${eventWords(event)}`,
    text: `You reported: ${report.words}\n\n${eventWords(event)}${said === '' ? '' : `:\n${said}`}\n\nUnder the private link that you were given you see all of it, and can answer.\n`,
  };
}

import { buffer } from 'node:stream/consumers';
import type { RecordCopy } from '@oilcan/core/past/copies';
import type { Change } from '@oilcan/core/records';
import type { WorkOrder } from '@oilcan/core/orders/work';
import type { Knex } from 'knex';
import { SqlRecords } from '../database/sql-records';
import type { FileStore } from '../files/file-store';
import { deliverQueued } from '../mails/deliver-queued';
import type { Mail, MailSender } from '../standins/mail';

const AT_ONCE = 10;

interface Queued {
  readonly id: string;
  readonly tries: number;
}

/** Copies that were asked for wait until they are carried away. Within the transaction that makes them. */
export async function queueCopies(transaction: Knex.Transaction, changes: readonly Change[]): Promise<void> {
  const rows = changes.flatMap(({ table, id, row }) => (table === 'copies' && row !== null ? [{ id }] : []));
  if (rows.length > 0) await transaction('copy_queue').insert(rows).onConflict('id').ignore();
}

/**
 * Sends the records that wait, each under its own name through every try, so that one that went out just before the server
 * stopped is known again by whoever gets it. One that cannot be sent is tried ever more rarely and put aside in the end.
 *
 * @returns how many went out
 */
export async function deliverCopies(
  database: Knex,
  {
    files,
    mail,
    chance = Math.random,
  }: { readonly files: FileStore; readonly mail: MailSender; readonly chance?: () => number },
  nowMillis: number,
): Promise<number> {
  return deliverQueued<Queued>(database, 'copy_queue', {
    nowMillis,
    atOnce: AT_ONCE,
    chance,
    send: async ({ id }) => mail.send(await mailOf(database, files, id)),
  });
}

/** A copy that could not be carried away, for a lead to see. */
export interface CopyAside {
  readonly id: string;
  readonly to: string;
  readonly subject: string;
  readonly tries: number;
  readonly putAsideAt: string;
}

const MOST_SHOWN = 100;

/** Copies of work on these sites that were put aside, the newest first. */
export async function copiesAside(database: Knex, siteIds: readonly string[]): Promise<CopyAside[]> {
  const stored: { body: string; tries: number; put_aside_at: string; work: string }[] = await database('copy_queue')
    .join('copies', 'copies.id', 'copy_queue.id')
    .join('work_orders', 'work_orders.id', 'copies.work_order')
    .whereNotNull('copy_queue.put_aside_at')
    .whereIn('copies.site', [...siteIds])
    .orderBy('copy_queue.put_aside_at', 'desc')
    .limit(MOST_SHOWN)
    .select('copies.body', 'copy_queue.tries', 'copy_queue.put_aside_at', 'work_orders.body as work');
  return stored.map(({ body, tries, put_aside_at: putAsideAt, work }) => {
    const { id, to } = JSON.parse(body) as RecordCopy;
    const { number, title } = JSON.parse(work) as WorkOrder;
    return { id, to, subject: `${number} ${title}`, tries, putAsideAt };
  });
}

/** It is tried once more. */
export async function tryCopyAgain(database: Knex, id: string): Promise<void> {
  await database('copy_queue').where('id', id).update({ tries: 0, next_try_at: null, put_aside_at: null });
}

async function mailOf(database: Knex, files: FileStore, id: string): Promise<Mail> {
  const { copy, number, title, sender } = await database.transaction(async (transaction) => {
    const records = new SqlRecords(transaction);
    const found: RecordCopy | undefined = await records.get('copies', id);
    if (found === undefined) throw new Error(`There is no copy ${id}.`);
    const work = await records.get('workOrders', found.workOrderId);
    const by = await records.get('people', found.by);
    return { copy: found, number: work?.number ?? '', title: work?.title ?? '', sender: by?.name ?? 'Somebody' };
  });
  const said = copy.line === '' ? '' : `${copy.line}\n\n`;
  return {
    id,
    to: { name: '', address: copy.to },
    subject: `${number} ${title}`,
    text: `${said}${sender} sends you the record of ${number}, ${title}.\n`,
    attachment: { name: `${number}.pdf`, mediaType: 'application/pdf', content: await buffer(files.read(copy.fileId)) },
  };
}

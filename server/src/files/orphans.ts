import type { FileId } from '@oilcan/core/kernel';
import { keyOfList } from '@oilcan/core/records';
import type { Knex } from 'knex';
import type { FileStore } from './file-store';

/** Whom a file is by that somebody without an account sent. */
export const GUEST = '(guest)';

/** So long a file may wait for what names it, and a row for its file. */
const WAITING_MILLISECONDS = 24 * 3_600_000;

/**
 * Takes away files that nobody will ask for: those that lie here without being noted, as a server leaves them that dies between the two,
 * and photos of people without an account that no report names.
 */
export async function sweepOrphans(database: Knex, files: FileStore, nowMillis: number): Promise<void> {
  const before = nowMillis - WAITING_MILLISECONDS;
  for await (const id of files.writtenBefore(before)) {
    const noted: { by_person: string; received_at: string } | undefined = await database('files')
      .where('id', id)
      .first('by_person', 'received_at');
    if (noted === undefined) await files.remove(id);
    else if (noted.by_person === GUEST && Date.parse(noted.received_at) < before && !(await isNamed(database, id)))
      await forget(database, files, id);
  }
}

/** Whether a report, or the record of the work that took it up, has it. */
async function isNamed(database: Knex, id: FileId): Promise<boolean> {
  const inReport: unknown = await database('reports')
    .where('files', 'like', `%${keyOfList([id])}%`)
    .first('id');
  if (inReport !== undefined) return true;
  const inEntry: unknown = await database('entries').where('file', id).first('id');
  if (inEntry !== undefined) return true;
  return (await database('file_bringers').where('file', id).first('file')) !== undefined;
}

async function forget(database: Knex, files: FileStore, id: FileId): Promise<void> {
  await database('files').where('id', id).delete();
  await files.remove(id);
}

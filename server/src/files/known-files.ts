import type { FileId } from '@oilcan/core/kernel';
import type { Person } from '@oilcan/core/plant/people';
import { keyOfList } from '@oilcan/core/records';
import type { Knex } from 'knex';
import { readRow, type StoredRow } from '../database/sql-records';

/** Whether a person has brought a file themselves, whole. */
async function hasBrought(database: Knex, id: FileId, person: Person): Promise<boolean> {
  return (await database('file_bringers').where({ file: id, person: person.id }).first('file')) !== undefined;
}

/** Whether a file stands in a record, among documents, or with a report, a request or an incident that the person may see. */
async function isShownTo(database: Knex, id: FileId, person: Person): Promise<boolean> {
  const named = `%${keyOfList([id])}%`;
  for (const table of ['reports', 'requests']) {
    const asked: unknown = await database(table)
      .where('files', 'like', named)
      .whereIn('site', [...person.siteIds])
      .first('id');
    if (asked !== undefined) return true;
  }
  const happened: StoredRow[] = await database('incidents').where('files', 'like', named).select('body');
  if (happened.some((stored) => readRow('incidents', stored).readerIds.includes(person.id))) return true;
  for (const table of ['entries', 'documents']) {
    const row: unknown = await database(table)
      .where('file', id)
      .whereIn('site', [...person.siteIds])
      .first('id');
    if (row !== undefined) return true;
  }
  return false;
}

/** Whether a file is here, and the person has brought it or may see it. Of any other, nobody learns even that it is here. */
export async function mayNameFile(database: Knex, id: FileId, person: Person): Promise<boolean> {
  const isHere = (await database('files').where('id', id).first('id')) !== undefined;
  return isHere && ((await hasBrought(database, id, person)) || (await isShownTo(database, id, person)));
}

interface ArrivedFile {
  readonly id: FileId;
  readonly mediaType: string;
  readonly bytes: number;
  readonly receivedAt: string;
}

/** Notes that a file is here, and that this person has brought it. */
export async function noteFile(
  database: Knex,
  { id, mediaType, bytes, receivedAt }: ArrivedFile,
  personId: string,
): Promise<void> {
  await database('files')
    .insert({ id, media_type: mediaType, bytes, by_person: personId, received_at: receivedAt })
    .onConflict('id')
    .ignore();
  await database('file_bringers').insert({ file: id, person: personId }).onConflict(['file', 'person']).ignore();
}

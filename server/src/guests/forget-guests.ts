import { addMinutes, instantFromMillis } from '@oilcan/core/kernel';
import { GUEST_KEPT_DAYS, nobodyKnown } from '@oilcan/core/raising/reports';
import type { Change } from '@oilcan/core/records';
import type { Knex } from 'knex';
import { readRow, SqlRecords, type StoredRow } from '../database/sql-records';

/**
 * Forgets who sent reports without an account, and how to reach them, once the reports ended long ago. Phones have let go of them by
 * then, so nobody is told. Private links lead there as before.
 */
export async function forgetGuests(database: Knex, nowMillis: number): Promise<void> {
  const last = addMinutes(instantFromMillis(nowMillis), -GUEST_KEPT_DAYS * 24 * 60);
  await database.transaction(async (transaction) => {
    const stored: StoredRow[] = await transaction<StoredRow>('reports').where('ended', '<', last).select('id', 'body');
    const changes = stored.flatMap((each): Change[] => {
      const report = readRow('reports', each);
      const isForgotten = report.guest === null || (report.guest.name === '' && report.guest.reach === '');
      return isForgotten ? [] : [{ table: 'reports', id: report.id, row: { ...report, guest: nobodyKnown } }];
    });
    if (changes.length > 0) await new SqlRecords(transaction).write(changes);
  });
}

import type { Instant } from '@oilcan/core/kernel';
import type { TableName } from '@oilcan/core/records';
import { tableNamed } from '@oilcan/core/registry';
import { carriedSince } from '@oilcan/core/orders/work';
import type { StoredRow } from '../sql-records';
import { sqlName } from '../sql-names';
import { runAmong, type Run } from '../statements';

/** Those of these rows that are there; what is recorded on work, for as long as phones carry the work. */
export function carriedRows(run: Run, table: TableName, ids: readonly string[], now: Instant): Promise<StoredRow[]> {
  const name = sqlName(table);
  if (tableNamed(table).replicated !== 'withWork')
    return runAmong(run, ids, (some) => `SELECT id, body FROM ${name} WHERE id IN (${some})`);
  return runAmong(
    run,
    ids,
    (some) =>
      `SELECT it.id, it.body FROM ${name} it JOIN work_orders work ON work.id = it.work_order
        WHERE (work.ended IS NULL OR work.ended > ?) AND it.id IN (${some})`,
    [carriedSince(now)],
  );
}

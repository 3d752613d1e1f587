import type { Change } from '@oilcan/core/records';
import type { WorkOrder } from '@oilcan/core/orders/work';
import type { Knex } from 'knex';
import { noteRenamed, noteTexts } from './find/note-texts';
import { notePast, worksTouchedBy } from './past/note-past';

/**
 * Brings what is derived from work orders up to date with these changes: their past, and the words by which they are found. Reads what is
 * stored, so it comes after the rows were written.
 *
 * @returns the work orders that the changes touch, as they are stored
 */
export async function noteDerived(transaction: Knex, changes: readonly Change[]): Promise<WorkOrder[]> {
  const touched = await notePast(transaction, worksTouchedBy(changes));
  // Before the texts of what was touched: by one of a machine's texts it is seen whether its name changed.
  await noteRenamed(transaction, changes);
  await noteTexts(transaction, touched);
  return touched;
}

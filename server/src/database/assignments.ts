import { assigneesOf, type WorkOrder } from '@oilcan/core/work';
import type { Knex } from 'knex';

interface Assignment {
  readonly work_order: string;
  readonly assignee: string;
}

/** Ids in one statement, well under every database's limit of bound values. */
const IDS_PER_STATEMENT = 400;

/** Notes to whom these work orders are given, where that changed: pulls find by it what a person carries whole. */
export async function noteAssignments(transaction: Knex.Transaction, written: readonly WorkOrder[]): Promise<void> {
  // Of one that was written twice, the last holds.
  const works = [...new Map(written.map((work) => [work.id, work])).values()];
  for (let start = 0; start < works.length; start += IDS_PER_STATEMENT) {
    const some = works.slice(start, start + IDS_PER_STATEMENT);
    const noted: Assignment[] = await transaction<Assignment>('assignments')
      .whereIn(
        'work_order',
        some.map(({ id }) => id),
      )
      .select('work_order', 'assignee');
    const notedFor = new Map<string, string[]>();
    for (const { work_order, assignee } of noted) {
      notedFor.set(work_order, [...(notedFor.get(work_order) ?? []), assignee]);
    }
    const changed = some.filter((work) => !isSame(notedFor.get(work.id) ?? [], assigneesOf(work)));
    if (changed.length === 0) continue;
    await transaction('assignments')
      .whereIn(
        'work_order',
        changed.map(({ id }) => id),
      )
      .delete();
    const rows = changed.flatMap((work) =>
      [...new Set(assigneesOf(work))].map((assignee): Assignment => ({ work_order: work.id, assignee })),
    );
    if (rows.length > 0) await transaction.batchInsert('assignments', rows, IDS_PER_STATEMENT);
  }
}

function isSame(noted: readonly string[], given: readonly string[]): boolean {
  const wanted = new Set(given);
  return noted.length === wanted.size && noted.every((each) => wanted.has(each));
}

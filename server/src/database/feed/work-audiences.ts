import type { WorkOrderId } from '@oilcan/core/kernel';
import { tablesOfWork } from '@oilcan/core/registry';
import type { TableName } from '@oilcan/core/records';
import { endOf, type WorkOrder } from '@oilcan/core/orders/work';
import { insertRows } from '../insert-rows';
import { sqlName } from '../sql-names';
import { runAmong, type Run } from '../statements';
import { audiencesOfWork, type Audience } from './audiences';

/** A work order that is written, and what it was before. */
export interface WrittenWork {
  readonly before: WorkOrder | undefined;
  readonly after: WorkOrder;
  /** Whether no phone carries it any more. */
  readonly isExpired: boolean;
}

/** Work whose audiences changed. */
export interface MovedWork {
  readonly id: WorkOrderId;
  readonly added: readonly Audience[];
  readonly removed: readonly Audience[];
}

/** Who carries what is recorded on which work order, as it is noted, and brought up to date with what is written. */
export class WorkAudiences {
  readonly #of: Map<string, readonly Audience[]>;
  readonly moved: readonly MovedWork[];

  private constructor(of: Map<string, readonly Audience[]>, moved: readonly MovedWork[]) {
    this.#of = of;
    this.moved = moved;
  }

  /**
   * Of these work orders, and of those that are written, which are noted anew.
   *
   * @param ids work on which something is written
   */
  static async of(run: Run, ids: readonly string[], written: readonly WrittenWork[]): Promise<WorkAudiences> {
    const wanted = [...new Set([...ids, ...written.map(({ after }) => after.id)])];
    const noted = wanted.length === 0 ? new Map<string, readonly Audience[]>() : await notedOf(run, wanted);
    const moved = written.flatMap((work) => {
      const moves = moveOf(work, noted.get(work.after.id) ?? []);
      return moves.added.length + moves.removed.length === 0 ? [] : [moves];
    });
    for (const { id, added, removed } of moved)
      noted.set(id, [...(noted.get(id) ?? []).filter((each) => !removed.includes(each)), ...added]);
    await note(run, moved);
    return new WorkAudiences(noted, moved);
  }

  ofWork(id: string): readonly Audience[] {
    return this.#of.get(id) ?? [];
  }
}

function moveOf({ before, after, isExpired }: WrittenWork, noted: readonly Audience[]): MovedWork {
  const wanted = isExpired || staysEnded(before, after) ? noted : audiencesOfWork(after);
  return {
    id: after.id,
    added: wanted.filter((each) => !noted.includes(each)),
    removed: noted.filter((each) => !wanted.includes(each)),
  };
}

/** What had ended is carried for a while, and then no more: something that is noted on it later does not bring it back. */
function staysEnded(before: WorkOrder | undefined, after: WorkOrder): boolean {
  return before !== undefined && endOf(before) !== null && endOf(after) !== null;
}

async function notedOf(run: Run, ids: readonly string[]): Promise<Map<string, readonly Audience[]>> {
  const rows = await runAmong<{ work: string; audience: Audience }>(
    run,
    ids,
    (some) => `SELECT work_order AS work, audience FROM work_audiences WHERE work_order IN (${some})`,
  );
  const noted = new Map<string, Audience[]>();
  for (const { work, audience } of rows) {
    const of = noted.get(work) ?? [];
    noted.set(work, of);
    of.push(audience);
  }
  return noted;
}

async function note(run: Run, moved: readonly MovedWork[]): Promise<void> {
  for (const { id, removed } of moved)
    for (const audience of removed)
      await run('DELETE FROM work_audiences WHERE work_order = ? AND audience = ?', [id, audience]);
  const rows = moved.flatMap(({ id, added }) => added.map((audience) => [id, audience]));
  await insertRows(run, 'work_audiences', ['work_order', 'audience'], rows, null);
}

/** A row that belongs to a work order. */
export interface RowOfWork {
  readonly table: TableName;
  readonly id: string;
  readonly work: string;
}

/** Everything that is recorded on these work orders. */
export async function rowsOfWorks(run: Run, works: readonly string[]): Promise<RowOfWork[]> {
  const rows: RowOfWork[] = [];
  if (works.length === 0) return rows;
  for (const table of tablesOfWork) {
    const found = await runAmong<{ id: string; work: string }>(
      run,
      works,
      (some) => `SELECT id, work_order AS work FROM ${sqlName(table)} WHERE work_order IN (${some}) ORDER BY id`,
    );
    rows.push(...found.map(({ id, work }) => ({ table, id, work })));
  }
  return rows;
}

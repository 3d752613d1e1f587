import type { Instant } from '@oilcan/core/kernel';
import type { Side } from '@oilcan/core/operations';
import type { Person } from '@oilcan/core/plant/people';
import { MemoryRecords, StagedRecords, type Change, type TableName } from '@oilcan/core/records';
import { tableNamed, tableNames, tables, tablesOfWork } from '@oilcan/core/registry';
import { fullyReplicatedFor, isWholeFor } from '@oilcan/core/orders/work';
import { dequal } from 'dequal';
import type { KeptOperation } from '../database/kept-operation';
import type { Rules } from '../rules/rules';

/** The server's rows with this phone's own operations laid over them: what the person sees. */
export class Overlay {
  readonly view = new MemoryRecords(tables);
  /** Rows of the server that our operations have changed in `view`, as the server gave them. */
  #covered = new Map<string, Change>();

  /** Shows other rows of the server, without any operation. */
  begin(rows: readonly Change[]): void {
    this.view.clear();
    this.#covered.clear();
    this.view.change(rows);
  }

  /** Shows what an operation of ours changes, and remembers the server's rows that it hides. */
  lay(changes: readonly Change[]): void {
    for (const { table, id } of changes) {
      const key = `${table}/${id}`;
      if (this.#covered.has(key)) continue;
      this.#covered.set(key, { table, id, row: this.view.peek(table, id) ?? null } as Change);
    }
    this.view.change(changes);
  }

  /**
   * Puts the server's rows back, takes in new ones, and applies the operations again; shows only what differs.
   *
   * @param rules what applies them; asked for only where there are any
   */
  async replay(
    arrived: readonly Change[],
    kept: readonly KeptOperation[],
    person: Person | null,
    side: Side,
    rules: () => Promise<Rules>,
  ): Promise<void> {
    const base = new StagedRecords(this.view);
    base.absorb([...this.#covered.values()]);
    base.absorb(arrived);
    const covered = new Map<string, Change>();
    const ours = kept.filter((each) => each.where !== 'rejected');
    for (const { operation } of ours) {
      if (person === null) break;
      const { applyOperation } = await rules();
      const { changes } = await applyOperation(base, operation, person, side);
      for (const change of changes) {
        const key = `${change.table}/${change.id}`;
        if (covered.has(key)) continue;
        const row = (await base.get(change.table, change.id)) ?? null;
        covered.set(key, { table: change.table, id: change.id, row } as Change);
      }
      base.absorb(changes);
    }
    this.#covered = covered;
    const differing = base
      .changes()
      .filter((change) => !dequal(this.view.peek(change.table, change.id) ?? null, change.row));
    this.view.change(differing);
  }

  /** What the server no longer gives to a new phone either, with what belongs to it. */
  outlived(now: Instant): Change[] {
    const outlived = tableNames.flatMap((table) => {
      const { isExpired } = tableNamed(table);
      if (isExpired === null) return [];
      return this.view
        .peekAll(table)
        .filter((row) => isExpired(row, now))
        .map(({ id }) => removal(table, id));
    });
    return this.withTheirRows(outlived, null);
  }

  /** Shows rows that are looked at and not carried; the next change of their work order takes them away. */
  showForNow(changes: readonly Change[]): void {
    this.view.change(changes.filter(({ table, id }) => !this.#covered.has(`${table}/${id}`)));
  }

  /**
   * A work order that goes, or is not the person's to carry whole any more, takes with it what belongs to it.
   */
  withTheirRows(changes: readonly Change[], person: Person | null): Change[] {
    const carriedFor = person === null ? 'all' : fullyReplicatedFor(person, this.view.peekAll('crews'));
    return changes.flatMap((change) => {
      if (change.table !== 'workOrders' || (change.row !== null && isWholeFor(change.row, carriedFor))) return [change];
      const rows = tablesOfWork.flatMap((table) =>
        this.view.peekList(table, 'workOrder', change.id).map((row) => removal(table, row.id)),
      );
      return [change, ...rows];
    });
  }
}

function removal(table: TableName, id: string): Change {
  return { table, id, row: null };
}

import { Finder, type Findable } from '@oilcan/core/overview/find';

type Found<Row> = Findable & { readonly row: Row };

/** So many rows are made findable at once while nobody waits for them. */
const AT_ONCE = 400;

/** Rows of this phone that are found by their words; what changed since is looked at when somebody next looks for something. */
export class KeptFinder<Row extends { readonly id: string }> {
  readonly #finder = new Finder<Found<Row>>();
  readonly #toFindable: (row: Row) => Findable;
  #names: readonly unknown[] = [];

  constructor(toFindable: (row: Row) => Findable) {
    this.#toFindable = toFindable;
  }

  /**
   * Takes the rows as they are now.
   *
   * @param names tables in which stands what else the rows are found by; when one of them changed, all rows are looked at anew
   */
  sync(rows: readonly Row[], names: readonly unknown[]): void {
    const isSame = names.every((table, index) => table === this.#names[index]);
    this.#names = names;
    const changed = rows.filter((row) => !isSame || this.#finder.get(row.id)?.row !== row);
    this.#put(changed);
    if (this.#finder.size === rows.length) return;
    const left = new Set(rows.map(({ id }) => id));
    for (const id of [...this.#finder.ids()]) if (!left.has(id)) this.#finder.remove(id);
  }

  /** The same bit by bit, so that nobody notices; before anything is typed. */
  async prepare(rows: readonly Row[], names: readonly unknown[]): Promise<void> {
    this.#names = names;
    for (let from = 0; from < rows.length; from += AT_ONCE) {
      this.#put(rows.slice(from, from + AT_ONCE).filter((row) => this.#finder.get(row.id)?.row !== row));
      await new Promise((resolve) => setTimeout(resolve));
    }
  }

  #put(rows: readonly Row[]): void {
    this.#finder.put(rows.map((row) => ({ ...this.#toFindable(row), row })));
  }

  /** As `Finder.find`. */
  find(typed: string, most: number, preferring: (row: Row) => number = () => 0): Row[] {
    return this.#finder.find(typed, most, ({ row }) => preferring(row)).map(({ row }) => row);
  }
}

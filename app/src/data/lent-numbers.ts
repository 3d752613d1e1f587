import { NUMBERS_AHEAD_LEAST, type NumberSeries } from '@oilcan/core/numbers';
import type { KeptOperation } from './kept-operation';
import type { LocalStore } from './local-store';
import type { Rules } from './rules';

const allSeries = ['workOrder', 'report'] as const satisfies readonly NumberSeries[];

/** The numbers that the server lent this phone, and which of them its operations took. */
export class LentNumbers {
  readonly #store: LocalStore;
  readonly #rules: () => Promise<Rules>;

  constructor(store: LocalStore, rules: () => Promise<Rules>) {
    this.#store = store;
    this.#rules = rules;
  }

  /** The arguments with a number that the server lent; null where none is left, until the server gives one. */
  async numbered(name: string, args: unknown): Promise<unknown> {
    const { numberTakenBy } = await this.#rules();
    const wanted = numberTakenBy({ name, args });
    if (wanted === null || typeof args !== 'object') return args;
    const taken = await this.takenBy(this.#store.everybodys);
    return { ...args, number: this.#free(wanted.series, taken)[0] ?? null };
  }

  /** The numbers that these operations took. */
  async takenBy(kept: readonly KeptOperation[]): Promise<ReadonlySet<string>> {
    if (kept.length === 0) return new Set();
    const { numberTakenBy } = await this.#rules();
    return new Set(kept.flatMap(({ operation }) => numberTakenBy(operation)?.number ?? []));
  }

  /** Whether this phone should ask for more. */
  async areFew(): Promise<boolean> {
    const taken = await this.takenBy(this.#store.everybodys);
    return allSeries.some((series) => this.#free(series, taken).length < NUMBERS_AHEAD_LEAST);
  }

  /** Those that no operation of this phone has taken. */
  #free(series: NumberSeries, taken: ReadonlySet<string>): readonly string[] {
    return (this.#store.syncState.numbers[series] ?? []).filter((number) => !taken.has(number));
  }
}

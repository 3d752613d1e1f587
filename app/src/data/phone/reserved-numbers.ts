import { NUMBERS_AHEAD_LEAST, type NumberSeries } from '@oilcan/core/plant/numbers';
import type { KeptOperation } from '../database/kept-operation';
import type { LocalStore } from '../database/local-store';
import type { Rules } from '../rules/rules';

/** The numbers that the server lent this phone, and which of them its operations took. */
export interface ReservedNumbers {
  /** The arguments with a number that the server lent; null where none is left, until the server gives one. */
  readonly numbered: (name: string, args: unknown) => Promise<unknown>;
  /** The numbers that these operations took. */
  readonly takenBy: (kept: readonly KeptOperation[]) => Promise<ReadonlySet<string>>;
  /** Whether this phone should ask for more. */
  readonly areFew: () => Promise<boolean>;
}

const allSeries = ['workOrder', 'report'] as const satisfies readonly NumberSeries[];

export function reservedNumbers(store: LocalStore, rules: () => Promise<Rules>): ReservedNumbers {
  const takenBy = async (kept: readonly KeptOperation[]): Promise<ReadonlySet<string>> => {
    if (kept.length === 0) return new Set();
    const { numberTakenBy } = await rules();
    return new Set(kept.flatMap(({ operation }) => numberTakenBy(operation)?.number ?? []));
  };
  /** Those that no operation of this phone has taken. */
  const free = (series: NumberSeries, taken: ReadonlySet<string>): readonly string[] =>
    (store.syncState.numbers[series] ?? []).filter((number) => !taken.has(number));
  return {
    takenBy,
    numbered: async (name, args) => {
      const { numberTakenBy } = await rules();
      const wanted = numberTakenBy({ name, args });
      if (wanted === null || typeof args !== 'object') return args;
      return { ...args, number: free(wanted.series, await takenBy(store.everybodys))[0] ?? null };
    },
    areFew: async () => {
      const taken = await takenBy(store.everybodys);
      return allSeries.some((series) => free(series, taken).length < NUMBERS_AHEAD_LEAST);
    },
  };
}

import {
  formatNumber,
  NUMBERS_AHEAD,
  NUMBERS_AHEAD_LEAST,
  parseNumber,
  type NumberSeries,
} from '@oilcan/core/plant/numbers';
import { hasRole } from '@oilcan/core/operations';
import type { Person } from '@oilcan/core/plant/people';
import { operations } from '@oilcan/core/registry/operations';
import type { Knex } from 'knex';

interface LentNumber {
  readonly series: NumberSeries;
  readonly number: string;
  readonly device: string;
  readonly person: string;
  readonly lent_at: string;
  /** The operation that took it; null while it is free. */
  readonly taken_by: string | null;
}

const COUNTERS: Readonly<Record<NumberSeries, string>> = {
  workOrder: 'work_order_number',
  report: 'report_number',
};

/** The tables in which the numbers of a series stand. */
const NUMBERED: Readonly<Record<NumberSeries, readonly string[]>> = {
  workOrder: ['work_orders'],
  report: ['reports', 'incidents'],
};

/** A person does not have more numbers than this on all devices together: nobody uses up the numbers of all. */
const MOST_LENT_TO_A_PERSON = 400;

/** What numbers a device may use, of each series that the person makes things of; of others none. */
export async function numbersOf(
  database: Knex,
  device: string,
  person: Person,
  now: string,
): Promise<Record<NumberSeries, string[]>> {
  const mayRaise = hasRole(person, operations['work.raise'].roles);
  const mayReport = hasRole(person, operations['report.make'].roles);
  return {
    workOrder: mayRaise ? await numbersFor(database, 'workOrder', device, person, now) : [],
    report: mayReport ? await numbersFor(database, 'report', device, person, now) : [],
  };
}

/** The numbers that a device may still use, the lowest first: those that it has, and more when they become few. */
async function numbersFor(
  database: Knex,
  series: NumberSeries,
  device: string,
  person: Person,
  now: string,
): Promise<string[]> {
  const free = await freeNumbers(database, series, device);
  if (free.length >= NUMBERS_AHEAD_LEAST) return inOrder(series, free);
  return database.transaction(async (transaction) => {
    const there = await freeNumbers(transaction, series, device);
    const ofPerson = await countFree(transaction, series, person.id);
    const wanted = Math.min(NUMBERS_AHEAD - there.length, MOST_LENT_TO_A_PERSON - ofPerson);
    if (wanted <= 0) return inOrder(series, there);
    const lent = await takeNumbers(transaction, series, wanted);
    const rows = lent.map((number): LentNumber => ({
      series,
      number,
      device,
      person: person.id,
      lent_at: now,
      taken_by: null,
    }));
    await transaction('lent_numbers').insert(rows);
    return inOrder(series, [...there, ...lent]);
  });
}

async function freeNumbers(database: Knex, series: NumberSeries, device: string): Promise<string[]> {
  return database<LentNumber>('lent_numbers').where({ series, device }).whereNull('taken_by').pluck('number');
}

async function countFree(database: Knex, series: NumberSeries, person: string): Promise<number> {
  const [found]: { count: number | string }[] = await database('lent_numbers')
    .where({ series, person })
    .whereNull('taken_by')
    .count({ count: '*' });
  return Number(found?.count ?? 0);
}

function inOrder(series: NumberSeries, numbers: readonly string[]): string[] {
  return [...numbers].sort((a, b) => (parseNumber(series, a) ?? 0) - (parseNumber(series, b) ?? 0));
}

/** The next numbers of a series, which nothing has and nobody was lent. Within a transaction. */
export async function takeNumbers(transaction: Knex, series: NumberSeries, count: number): Promise<string[]> {
  const name = COUNTERS[series];
  const counter: { value: number | string } | undefined = await transaction('counters').where({ name }).first('value');
  let last = Number(counter?.value ?? 0);
  const taken: string[] = [];
  while (taken.length < count) {
    const candidates = Array.from({ length: count - taken.length }, (_, index) =>
      formatNumber(series, last + index + 1),
    );
    last += candidates.length;
    const there = await numbersThere(transaction, series, candidates);
    taken.push(...candidates.filter((number) => !there.has(number)));
  }
  await transaction('counters').insert({ name, value: last }).onConflict('name').merge();
  return taken;
}

async function numbersThere(transaction: Knex, series: NumberSeries, numbers: readonly string[]): Promise<Set<string>> {
  const there = new Set<string>();
  for (const table of NUMBERED[series])
    for (const number of await transaction(table)
      .whereIn('number', [...numbers])
      .pluck<string[]>('number'))
      there.add(number);
  return there;
}

/** Those of the numbers of a series that a device was lent and has not used. */
export async function reservedFor(
  transaction: Knex,
  series: NumberSeries,
  device: string,
  numbers: readonly string[],
): Promise<Set<string>> {
  if (numbers.length === 0) return new Set();
  const lent: string[] = await transaction<LentNumber>('lent_numbers')
    .whereIn('number', [...numbers])
    .where({ series, device })
    .whereNull('taken_by')
    .pluck('number');
  return new Set(lent);
}

/** A number was used: it is lent no more. */
export async function noteTaken(transaction: Knex, number: string, operationId: string): Promise<void> {
  await transaction<LentNumber>('lent_numbers').where({ number }).update({ taken_by: operationId });
}

/** After rows came from elsewhere with numbers of their own, the next ones begin above them. */
export async function beginAbove(transaction: Knex, series: NumberSeries, numbers: readonly string[]): Promise<void> {
  const highest = Math.max(0, ...numbers.map((number) => parseNumber(series, number) ?? 0));
  const name = COUNTERS[series];
  const counter: { value: number | string } | undefined = await transaction('counters').where({ name }).first('value');
  if (highest <= Number(counter?.value ?? 0)) return;
  await transaction('counters').insert({ name, value: highest }).onConflict('name').merge();
}

import Ajv from 'ajv/dist/2020';
import Papa from 'papaparse';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { entryColumns, entryRows, recordDocument, type RecordSource } from '@oilcan/core/past/formats';
import { costOf, entryKinds } from '@oilcan/core/registry';
import { parseInstant } from '@oilcan/core/kernel';
import type { TableName, Tables } from '@oilcan/core/records';
import { currentEntries, type Entry, type WorkOrder } from '@oilcan/core/orders/work';
import { generateDemo } from './generate';
import type { Line } from './line';

const now = parseInstant('2026-11-23T11:00:00Z');
const lines = [...generateDemo({ now, scale: 1, password: 'x', documents: [] })];
const rowsOf = <T extends TableName>(table: T): Tables[T][] =>
  lines.flatMap((line: Line) => ('table' in line && line.table === table ? [line.row as Tables[T]] : []));
const grouped = <Row extends { readonly workOrderId: string }>(rows: readonly Row[]): ReadonlyMap<string, Row[]> => {
  const found = new Map<string, Row[]>();
  for (const row of rows) found.set(row.workOrderId, [...(found.get(row.workOrderId) ?? []), row]);
  return found;
};
const byId = <Row extends { readonly id: string }>(rows: readonly Row[]): ((id: string) => Row | undefined) => {
  const found = new Map(rows.map((row) => [row.id, row]));
  return (id) => found.get(id);
};

const works = rowsOf('workOrders');
const entriesOf = grouped<Entry>(rowsOf('entries'));
const stepsOf = grouped(rowsOf('steps'));
const names = {
  asset: byId(rowsOf('assets')),
  place: byId(rowsOf('places')),
  person: byId(rowsOf('people')),
  part: byId(rowsOf('parts')),
  point: byId(rowsOf('points')),
};
const sourceOf = (work: WorkOrder): RecordSource => ({
  ...names,
  work,
  steps: stepsOf.get(work.id) ?? [],
  entries: entriesOf.get(work.id) ?? [],
  led: [],
  cameFrom: undefined,
  madeAt: now,
});

describe('every work order of the demo', () => {
  it('is a document that the published schema takes, as another reader understands it', () => {
    const schema = JSON.parse(readFileSync(join(__dirname, '../../docs/record.schema.json'), 'utf8')) as object;
    const validate = new Ajv({ allErrors: true }).compile(schema);
    for (const work of works) {
      const document: unknown = JSON.parse(JSON.stringify(recordDocument(sourceOf(work))));
      if (!validate(document)) throw new Error(`${work.number}: ${JSON.stringify(validate.errors)}`);
    }
    const [first] = works;
    if (first === undefined) throw new Error('The demo has no work.');
    const broken = { ...recordDocument(sourceOf(first)), version: 2 };
    expect(validate(broken)).toBe(false);
  });

  it('has its entries as lines that another reader reads back, with their exact amounts', () => {
    for (const work of works.slice(0, 300)) {
      const source = sourceOf(work);
      const csv = Papa.unparse({ fields: [...entryColumns], data: entryRows(entryKinds, source) }, { newline: '\r\n' });
      const { data, errors } = Papa.parse<Record<string, string>>(csv, { header: true });
      expect(errors.filter(({ code }) => code !== 'UndetectableDelimiter')).toEqual([]);
      expect(data).toHaveLength(source.entries.length);
      const cents = data
        .filter(({ stands, amount }) => stands === 'yes' && amount !== '')
        .reduce((sum, { amount }) => sum + Math.round(Number(amount) * 100), 0);
      const total = costOf(source.entries).total.reduce((sum, { minor }) => sum + minor, 0);
      expect(cents).toBe(total);
      expect(currentEntries(source.entries).length).toBe(data.filter(({ stands }) => stands === 'yes').length);
    }
  });
});

import type { LoggedOperation } from '@oilcan/core/sync';
import { saveTable } from '../../../data/browser/save-table';
import { didWords, whoseWords } from './log-words';

const columns = [
  'operation',
  'at',
  'received_at',
  'by',
  'device',
  'device_words',
  'did',
  'name',
  'outcome',
  'arguments',
  'table',
  'row',
  'change',
  'field',
  'before',
  'after',
] as const;

/** Who did what as CSV: a line for every field that an operation changed, and one for an operation that changed none. */
export function saveLog(operations: readonly LoggedOperation[]): void {
  saveTable('who-did-what', columns, operations.flatMap(linesOf));
}

function linesOf(operation: LoggedOperation): string[][] {
  const { id, at, receivedAt, by, device, deviceWords, name, outcome, args, changed } = operation;
  const head = [
    id,
    at,
    receivedAt,
    whoseWords(by),
    device,
    deviceWords ?? '',
    didWords(operation),
    name,
    outcome.ok ? 'accepted' : outcome.code,
    JSON.stringify(args),
  ];
  const lines = (changed ?? []).flatMap(({ table, id: row, did, fields }) => {
    const entries = Object.entries(fields);
    if (entries.length === 0) return [[...head, table, row, did, '', '', '']];
    return entries.map(([field, { before, after }]) => [
      ...head,
      table,
      row,
      did,
      field,
      textOf(before),
      textOf(after),
    ]);
  });
  return lines.length === 0 ? [[...head, '', '', '', '', '', '']] : lines;
}

function textOf(value: unknown): string {
  return typeof value === 'string' ? value : JSON.stringify(value);
}

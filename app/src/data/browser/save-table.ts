import Papa from 'papaparse';
import { saveFile } from './save-file';

/**
 * Saves rows as CSV (RFC 4180) that every spreadsheet opens, with its letters and without running anything: a cell that it
 * would take for a formula is quoted as text.
 *
 * @param name of the file, without its ending
 */
export function saveTable(
  name: string,
  fields: readonly string[],
  data: readonly (readonly (string | number)[])[],
): void {
  const rows = data.map((row) => [...row]);
  const csv = Papa.unparse({ fields: [...fields], data: rows }, { escapeFormulae: true, newline: '\r\n' });
  saveFile(`${name}.csv`, 'text/csv;charset=utf-8', `\uFEFF${csv}`);
}

import type { TableName } from '@oilcan/core/records';
import { isTableName, tableNames } from '@oilcan/core/registry';

const sqlNames = new Map<string, string>();

/** `workOrders` as SQL names it: `work_orders`. */
export function sqlName(name: string): string {
  const known = sqlNames.get(name);
  if (known !== undefined) return known;
  const made = name.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);
  sqlNames.set(name, made);
  return made;
}

const tableBySqlName = new Map(tableNames.map((name) => [sqlName(name), name]));

/** The table of which this is the name in SQL. */
export function tableOfSqlName(name: string): TableName {
  const table = tableBySqlName.get(name) ?? name;
  if (!isTableName(table)) throw new Error(`There is no table ${name}.`);
  return table;
}

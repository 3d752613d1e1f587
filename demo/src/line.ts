import type { TableName, Tables } from '@oilcan/core';

/** One line of demo data: a row of a table, or somebody's account. */
export type Line =
  | { [T in TableName]: { readonly table: T; readonly row: Tables[T] } }[TableName]
  | { readonly account: { readonly person: string; readonly name: string; readonly password: string } };

import type { TableName, Tables } from '@oilcan/core/records';

/** What a document holds, base64. */
interface DocumentFile {
  readonly file: { readonly id: string; readonly mediaType: string; readonly content: string };
}

/** One line of demo data: a row of a table, or somebody's account. */
export type Line =
  | DocumentFile
  | { [T in TableName]: { readonly table: T; readonly row: Tables[T] } }[TableName]
  | { readonly account: { readonly person: string; readonly name: string; readonly password: string } };

import { amongSeveral } from '@oilcan/core/records';
import type { Knex } from 'knex';

/** Conditions and columns in SQL that every database has, written where Knex has no words for them. */

/**
 * Rows whose column holds one of these. Written so that no index of the column tempts the database to begin with all rows of
 * a value, where another index leads to fewer.
 */
export function isOneOf(query: Knex.QueryBuilder, column: string, values: readonly string[]): Knex.QueryBuilder {
  const places = values.map(() => '?').join() || 'null';
  return query.whereRaw(`coalesce(??, '') in (${places})`, [column, ...values]);
}

/** Rows whose column holds a text up to this one, in the same way; those without any are left out. */
export function isUpTo(query: Knex.QueryBuilder, column: string, text: string): Knex.QueryBuilder {
  return query.whereRaw("coalesce(??, '~') <= ?", [column, text]);
}

/** Rows whose column holds, among several ids (`keyOfList`), one of these; none where there are none. */
export function holdsOneOf(query: Knex.QueryBuilder, column: string, ids: readonly string[]): Knex.QueryBuilder {
  return query.where((any) => {
    any.whereRaw('1 = 0');
    for (const id of ids) any.orWhereRaw("?? like ? escape '\\'", [column, amongSeveral(id)]);
  });
}

/** A column that holds the same in every row. */
export function constant(connection: Knex, value: string | null, name: string): Knex.Raw {
  return value === null ? connection.raw('null as ??', [name]) : connection.raw('? as ??', [value, name]);
}

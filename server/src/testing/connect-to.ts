import type { Knex } from 'knex';
import { dialectFor } from '../database/dialects';

/** A line to a database that others serve. */
export function connectTo(address: string): Knex {
  return dialectFor(address).connect(address);
}

import { instantFromMillis } from '@oilcan/core/kernel';
import type { Knex } from 'knex';
import type { Clock } from './clock';
import { connect, type Wanted } from './database/connection';
import { fillFeed } from './database/feed/fill-feed';
import { bringShapesUpToDate } from './database/shapes';
import { bringTextsUpToDate } from './find/note-texts';
import { bringPastUpToDate } from './past/note-past';
import { bringReviewsUpToDate } from './review/note-reviews';

/** Opens the database, and brings its tables, the shapes of its rows, and what is derived from them up to date. */
export function openDatabase(
  database: string,
  clock: Clock,
  wanted: Omit<Wanted, 'bringUpToDate'> = {},
): Promise<Knex> {
  return connect(database, {
    ...wanted,
    bringUpToDate: async (connection) => {
      await bringShapesUpToDate(connection);
      await fillFeed(connection, instantFromMillis(clock()));
      await bringPastUpToDate(connection);
      await bringTextsUpToDate(connection);
      await bringReviewsUpToDate(connection, instantFromMillis(clock()));
    },
  });
}

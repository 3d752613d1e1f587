import type { Knex } from 'knex';
import { createRowTables } from './row-tables';

/** Time of people that is on no work order, and where they started their clocks if they agreed. */
export const timeOnNoJob = {
  name: '011-time-on-no-job',
  up: (database: Knex): Promise<void> =>
    createRowTables(database, { other_times: ['person'], place_agreements: ['person'], clock_places: ['person'] }),
};

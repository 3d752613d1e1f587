import { keyOfList, ofSite, type TablesNamed } from '../../../records/table';
import { renaming } from '../../../records/upgrade';
import type { Crew, Person, Site } from './people';

declare module '../../../records/table' {
  interface TableTypes {
    sites: { row: Site; index: 'site' };
    people: { row: Person; index: 'sites' };
    crews: { row: Crew; index: 'sites' };
  }
}

export const peopleTables: TablesNamed<'sites' | 'people' | 'crews'> = {
  sites: {
    ...ofSite,
    indexes: { site: (row) => row.id },
    upgrades: [{ to: 5, change: (row) => ({ zone: null, currency: null, ...row }) }],
  },
  people: {
    ...ofSite,
    indexes: { sites: (row) => keyOfList(row.siteIds) },
    upgrades: [{ to: 5, change: renaming({ craftId: 'tradeId' }) }],
  },
  crews: {
    ...ofSite,
    indexes: { sites: (row) => keyOfList(row.siteIds) },
    upgrades: [{ to: 5, change: (row) => ({ siteIds: [], ...row }) }],
  },
};

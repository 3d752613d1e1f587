import { keyOfList, ofSite, type TablesNamed } from '../../../records/table';
import type { KitList } from './kit-list';

declare module '../../../records/table' {
  interface TableTypes {
    kitLists: { row: KitList; index: 'readers' };
  }
}

export const kitListTables: TablesNamed<'kitLists'> = {
  kitLists: { ...ofSite, indexes: { readers: (row) => keyOfList([row.id, ...row.sharedWith]) }, seenBy: 'given' },
};

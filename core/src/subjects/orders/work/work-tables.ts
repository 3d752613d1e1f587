import {
  ofSite,
  ofWork,
  type Fields,
  type TableDefinition,
  type TablesNamed,
  type Upgrade,
} from '../../../records/table';
import { listOfFields, renaming } from '../../../records/upgrade';
import { endOf, isReplicated, WORK_REPLICATED_DAYS } from './carried';
import type { Entry } from './entries';
import { anyEntryKind, type EntryKindSet } from './entry-kinds';
import type { WorkOrder } from './work-order';

declare module '../../../records/table' {
  interface TableTypes {
    workOrders: { row: WorkOrder; index: 'site' | 'asset' | 'openOn' | 'due' | 'ended' | 'number' | 'cameFrom' };
    entries: { row: Entry; index: 'site' | 'workOrder' | 'asset' | 'amends' | 'file' };
  }
}

const workOrders: TableDefinition<'workOrders'> = {
  ...ofSite,
  indexes: {
    site: (row) => row.siteId,
    asset: (row) => row.assetId,
    /** The machine, until it has ended. */
    openOn: (row) => (endOf(row) === null ? row.assetId : null),
    /** When it is due, until it has ended. */
    due: (row) => (endOf(row) === null ? row.dueAt : null),
    /** When it left the open work; open work is left out. */
    ended: endOf,
    number: (row) => row.number,
    cameFrom: (row) => row.cameFrom,
  },
  replicated: { daysAfterEnd: WORK_REPLICATED_DAYS },
  isExpired: (row, now) => !isReplicated(row, now),
  upgrades: [
    {
      to: 3,
      change: (row) => ({
        ...row,
        tools: [],
        isolation: [],
        formerly: null,
        kit: listOfFields(row['kit']).map((part) => ({ ...part, unit: null })),
      }),
    },
    {
      to: 5,
      change: (row) => ({
        ...renaming({ craftId: 'tradeId' })(row),
        hazards: listOfFields(row['hazards']).map(renaming({ precaution: 'control' })),
      }),
    },
    {
      to: 6,
      change: ({ hazardsSince: _, ...row }) => ({
        ...renaming({ formerly: 'previousAssignees', turned: 'lastTransition' })(row),
        cameFrom: null,
      }),
    },
  ],
};

/** Work orders, and what is recorded on them: of each kind as its subject says. */
export function workTables(kinds: EntryKindSet): TablesNamed<'workOrders' | 'entries'> {
  return {
    workOrders,
    entries: {
      ...ofWork,
      indexes: {
        site: (row) => row.siteId,
        workOrder: (row) => row.workOrderId,
        asset: (row) => row.assetId,
        amends: (row) => row.amends,
        file: ({ content }) => anyEntryKind(kinds, content.kind)?.file?.(content) ?? null,
      },
      shown: (row, viewer) => {
        const shown = anyEntryKind(kinds, row.content.kind)?.shown;
        return shown === null || shown === undefined ? row : { ...row, content: shown(row.content, viewer) };
      },
      upgrades: upgradesOfContent(kinds),
    },
  };
}

/** Every upgrade of a kind as one of the rows that have a content of it. */
function upgradesOfContent(kinds: EntryKindSet): Upgrade[] {
  const all = Object.keys(kinds).flatMap((kind) =>
    (anyEntryKind(kinds, kind)?.upgrades ?? []).map(({ to, change }): Upgrade => ({
      to,
      change: (row) => {
        const content = row['content'] as Fields;
        return content['kind'] === kind ? { ...row, content: change(content) } : row;
      },
    })),
  );
  return all.sort((a, b) => a.to - b.to);
}

import { anyTable, type AnyTable, type IndexName, type TableName, type TableSet } from '../records/table';
import { copiesTables } from '../subjects/past/copies/copies-tables';
import { documentsTables } from '../subjects/plant/documents/documents-tables';
import { hazardsTables } from '../subjects/orders/hazards/hazards-tables';
import { kitListTables } from '../subjects/stores/kit-list/kit-list-tables';
import { incidentsTables } from '../subjects/raising/incidents/incidents-tables';
import { labelsTables } from '../subjects/raising/labels/labels-tables';
import { laborTables } from '../subjects/recording/labor/labor-tables';
import { noticesTables } from '../subjects/overview/notices/notices-tables';
import { peopleTables } from '../subjects/plant/people/people-tables';
import { permitsTables } from '../subjects/plant/permits/permits-tables';
import { clockPlaceTables } from '../subjects/orders/places-of-clocks/clock-place-tables';
import { plansTables } from '../subjects/finishing/plans/plans-tables';
import { plantTables } from '../subjects/plant/plant/plant-tables';
import { proceduresTables } from '../subjects/steps/procedures/procedures-tables';
import { raiseRulesTables } from '../subjects/orders/raise-rules/raise-rules-tables';
import { reportsTables } from '../subjects/raising/reports/reports-tables';
import { reviewTables } from '../subjects/finishing/review/review-tables';
import { roundsTables } from '../subjects/steps/rounds/rounds-tables';
import { settingsTables } from '../subjects/orders/settings/settings-tables';
import { sharesTables } from '../subjects/recording/shares/shares-tables';
import { stepsTables } from '../subjects/steps/steps/steps-tables';
import { requestsTables } from '../subjects/stores/requests/requests-tables';
import { countsTables } from '../subjects/stores/counts/counts-tables';
import { transfersTables } from '../subjects/stores/transfers/transfers-tables';
import { stockTables } from '../subjects/stores/stock/stock-tables';
import { workTables } from '../subjects/orders/work/work-tables';
import { entryKinds } from './entries';

/** Every table, as its subject defines it. */
export const tables: TableSet = {
  ...settingsTables,
  ...peopleTables,
  ...plantTables,
  ...documentsTables,
  ...labelsTables,
  ...stockTables,
  ...requestsTables,
  ...transfersTables,
  ...countsTables,
  ...workTables(entryKinds),
  ...roundsTables,
  ...stepsTables,
  ...sharesTables,
  ...proceduresTables,
  ...plansTables,
  ...copiesTables,
  ...hazardsTables,
  ...permitsTables,
  ...laborTables,
  ...clockPlaceTables,
  ...kitListTables,
  ...noticesTables,
  ...reviewTables,
  ...raiseRulesTables,
  ...reportsTables,
  ...incidentsTables,
};

export const tableNames = Object.keys(tables) as readonly TableName[];

export function isTableName(text: string): text is TableName {
  return Object.hasOwn(tables, text);
}

export function tableNamed(name: TableName): AnyTable {
  return anyTable(tables, name);
}

/** Tables that can be listed by work order. */
type ByWork = { [T in TableName]: 'workOrder' extends IndexName<T> ? T : never }[TableName];

/** Tables whose rows belong to a work order, and are carried where that is carried whole. */
export const tablesOfWork = tableNames.filter(
  (name): name is ByWork => tableNamed(name).replicated === 'withWork',
) as readonly ByWork[];

/** The version of the shapes that rows have here: that of the newest upgrade of any table. */
export const SHAPE_VERSION = Math.max(...tableNames.flatMap((name) => tableNamed(name).upgrades.map(({ to }) => to)));

import type { Follow, Notice, NoticeChoice } from '../notices/notices';
import type { KitList } from '../planning/kit-list';
import { codeOfTag, type Code } from '../plant/codes';
import type { Contact } from '../plant/contacts';
import type { AssetDocument, Installation } from '../plant/documents';
import type { Asset, MeasuringPoint, Place } from '../plant/plant';
import type { Crew, Person, Site } from '../people/people';
import type { Rate, Settings } from '../settings/settings';
import { endOf } from '../sync/carried';
import type { Bin, Movement, Part, StockLevel, Store } from '../stock/stock';
import type { Acknowledgement, Clock } from '../work/clock';
import type { Entry } from '../work/entries';
import type { Permit } from '../work/permits';
import type { Step } from '../work/steps';
import type { WorkOrder } from '../work/work-order';

/** Every table that operations read or change, and the row it holds. Rows are never changed, only replaced. */
export interface Tables {
  settings: Settings;
  rates: Rate;
  sites: Site;
  people: Person;
  crews: Crew;
  places: Place;
  assets: Asset;
  points: MeasuringPoint;
  parts: Part;
  stores: Store;
  bins: Bin;
  stock: StockLevel;
  movements: Movement;
  workOrders: WorkOrder;
  steps: Step;
  entries: Entry;
  acknowledgements: Acknowledgement;
  permits: Permit;
  clocks: Clock;
  documents: AssetDocument;
  installations: Installation;
  codes: Code;
  contacts: Contact;
  kitLists: KitList;
  notices: Notice;
  follows: Follow;
  noticeChoices: NoticeChoice;
}

export type TableName = keyof Tables;
export type Row = Tables[TableName];

/** For each table the named indexes by which its rows are listed: the key of a row, or null to leave it out. */
export const tableIndexes = {
  settings: {},
  rates: { site: (row: Rate) => row.siteId },
  sites: { site: (row: Site) => row.id },
  people: { sites: (row: Person) => keyOfList(row.siteIds) },
  crews: { sites: (row: Crew) => keyOfList(row.siteIds) },
  places: { site: (row: Place) => row.siteId },
  assets: {
    site: (row: Asset) => row.siteId,
    parent: (row: Asset) => row.parentId,
    /** Its own label. */
    tag: (row: Asset) => codeOfTag(row.tag),
  },
  points: { site: (row: MeasuringPoint) => row.siteId, asset: (row: MeasuringPoint) => row.assetId },
  parts: {},
  stores: { site: (row: Store) => row.siteId },
  bins: { site: (row: Bin) => row.siteId },
  stock: { site: (row: StockLevel) => row.siteId, part: (row: StockLevel) => row.partId },
  movements: { level: (row: Movement) => `${row.partId}@${row.binId}`, workOrder: (row: Movement) => row.workOrderId },
  workOrders: {
    site: (row: WorkOrder) => row.siteId,
    asset: (row: WorkOrder) => row.assetId,
    /** When it left the open work; open work is left out. */
    ended: endOf,
  },
  steps: { site: (row: Step) => row.siteId, workOrder: (row: Step) => row.workOrderId },
  entries: {
    site: (row: Entry) => row.siteId,
    workOrder: (row: Entry) => row.workOrderId,
    asset: (row: Entry) => row.assetId,
    amends: (row: Entry) => row.amends,
    /** The file that a photo names. */
    file: (row: Entry) => (row.content.kind === 'photo' ? row.content.fileId : null),
  },
  acknowledgements: {
    site: (row: Acknowledgement) => row.siteId,
    workOrder: (row: Acknowledgement) => row.workOrderId,
  },
  permits: { site: (row: Permit) => row.siteId, workOrder: (row: Permit) => row.workOrderId },
  clocks: { site: (row: Clock) => row.siteId, workOrder: (row: Clock) => row.workOrderId },
  documents: {
    site: (row: AssetDocument) => row.siteId,
    asset: (row: AssetDocument) => row.assetId,
    file: (row: AssetDocument) => row.fileId,
  },
  installations: { site: (row: Installation) => row.siteId, asset: (row: Installation) => row.assetId },
  codes: { site: (row: Code) => row.siteId, asset: (row: Code) => row.assetId },
  contacts: { site: (row: Contact) => row.siteId },
  kitLists: { readers: (row: KitList) => keyOfList([row.id, ...row.sharedWith]) },
  notices: { person: (row: Notice) => row.personId },
  follows: { person: (row: Follow) => row.personId, workOrder: (row: Follow) => row.workOrderId },
  noticeChoices: { person: (row: NoticeChoice) => row.personId },
} as const satisfies { [T in TableName]: Record<string, (row: Tables[T]) => string | null> };

/** Several ids as one key, of which each can be found as `|id|`. */
export function keyOfList(ids: readonly string[]): string {
  return `|${ids.join('|')}|`;
}

export type IndexName<T extends TableName> = keyof (typeof tableIndexes)[T] & string;

export const tableNames = Object.keys(tableIndexes) as readonly TableName[];

/** Tables whose rows belong to a work order, and are carried where that is carried whole. */
export const tablesOfWork = ['steps', 'entries', 'acknowledgements', 'permits'] as const satisfies readonly TableName[];

export function isTableName(text: string): text is TableName {
  return Object.hasOwn(tableIndexes, text);
}

type KeyOf = (row: Row) => string | null;

/**
 * The indexes of a table with their key functions, for code that works on any table. The link between a table's
 * name and the type of its rows is lost to the compiler here, and only here.
 */
export function indexesOf(table: TableName): readonly (readonly [string, KeyOf])[] {
  return Object.entries(tableIndexes[table] as unknown as Record<string, KeyOf>);
}

declare const brand: unique symbol;

/** A string that names one row of one kind, so that an asset's id is never taken for a part's. */
export type Id<Kind extends string> = string & { readonly [brand]: Kind };

export type SiteId = Id<'site'>;
export type PersonId = Id<'person'>;
export type CrewId = Id<'crew'>;
export type PlaceId = Id<'place'>;
export type AssetId = Id<'asset'>;
export type PointId = Id<'point'>;
export type PartId = Id<'part'>;
export type StoreId = Id<'store'>;
export type BinId = Id<'bin'>;
export type WorkOrderId = Id<'workOrder'>;
export type StepId = Id<'step'>;
export type StopId = Id<'stop'>;
export type ShareId = Id<'share'>;
export type ProcedureId = Id<'procedure'>;
export type PlanId = Id<'plan'>;
export type ReportId = Id<'report'>;
export type IncidentId = Id<'incident'>;
export type RequestId = Id<'request'>;
export type TransferId = Id<'transfer'>;
export type CountId = Id<'count'>;
export type OtherTimeId = Id<'otherTime'>;
export type EntryId = Id<'entry'>;
/** The SHA-256 of its content, in lower-case hexadecimal. */
export type FileId = Id<'file'>;
export type OperationId = Id<'operation'>;

/** The one place where a plain string becomes an id. */
export function asId<I extends Id<string>>(text: string): I {
  return text as I;
}

/** Rows by their id. */
export function byId<Row extends { readonly id: string }>(rows: readonly Row[]): ReadonlyMap<string, Row> {
  return new Map(rows.map((row) => [row.id, row]));
}

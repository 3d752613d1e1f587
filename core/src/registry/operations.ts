import type { FileId, OperationId, PersonId } from '../kernel/ids';
import type { Actor } from '../operations/actor';
import { applyOneOf, type Applied, type OperationSet } from '../operations/apply';
import type { AnyOperation, NamedIn, Operation, OperationDefinition, RowName, Side } from '../operations/operation';
import type { Records } from '../records/records';
import type { Fields } from '../records/table';
import { upgraded } from '../records/upgrade';
import { isFileId } from '../subjects/plant/files/files';
import { catalogueOperations } from '../subjects/recording/faults/catalogue-operations';
import { faultsOperations } from '../subjects/recording/faults/faults-operations';
import { attachmentsOperations } from '../subjects/recording/attachments/attachments-operations';
import { copiesOperations } from '../subjects/past/copies/copies-operations';
import { expensesOperations } from '../subjects/recording/expenses/expenses-operations';
import { hazardsOperations } from '../subjects/orders/hazards/hazards-operations';
import { goAheadOperations } from '../subjects/recording/go-ahead/go-ahead-operations';
import { incidentsOperations } from '../subjects/raising/incidents/incidents-operations';
import { isolationOperations } from '../subjects/orders/isolation/isolation-operations';
import { kitListOperations } from '../subjects/stores/kit-list/kit-list-operations';
import { labelsOperations } from '../subjects/raising/labels/labels-operations';
import { reportLabelOperations } from '../subjects/raising/labels/report-label-operations';
import { laborOperations } from '../subjects/recording/labor/labor-operations';
import { demandsOperations } from '../subjects/finishing/lifecycle/demands-operations';
import { lifecycleOperations } from '../subjects/finishing/lifecycle/lifecycle-operations';
import { noneOperations } from '../subjects/recording/none/none-operations';
import { notesOperations } from '../subjects/recording/notes/notes-operations';
import { noticesOperations } from '../subjects/overview/notices/notices-operations';
import { clockPlaceOperations } from '../subjects/orders/places-of-clocks/clock-place-operations';
import { peopleOperations } from '../subjects/plant/people/people-operations';
import { plansOperations } from '../subjects/finishing/plans/plans-operations';
import { photosOperations } from '../subjects/recording/photos/photos-operations';
import { raiseRulesOperations } from '../subjects/orders/raise-rules/raise-rules-operations';
import { raiseOperations } from '../subjects/raising/raise/raise-operations';
import { readingsOperations } from '../subjects/steps/readings/readings-operations';
import { answerOperations } from '../subjects/raising/reports/answer-operations';
import { reportsOperations } from '../subjects/raising/reports/reports-operations';
import { returnOperations } from '../subjects/finishing/return-to-service/return-operations';
import { reviewOperations } from '../subjects/finishing/review/review-operations';
import { roundsOperations } from '../subjects/steps/rounds/rounds-operations';
import { scheduleOperations } from '../subjects/finishing/schedule/schedule-operations';
import { servicesOperations } from '../subjects/recording/services/services-operations';
import { sharesOperations } from '../subjects/recording/shares/shares-operations';
import { stepsOperations } from '../subjects/steps/steps/steps-operations';
import { stoppagesOperations } from '../subjects/recording/stoppages/stoppages-operations';
import { issueOperations } from '../subjects/stores/issue/issue-operations';
import { requestsOperations } from '../subjects/stores/requests/requests-operations';
import { countsOperations } from '../subjects/stores/counts/counts-operations';
import { transfersOperations } from '../subjects/stores/transfers/transfers-operations';
import { stockPutBacks } from '../subjects/stores/stock/stock-put-back';
import { readingsPutBacks } from '../subjects/steps/readings/readings-put-back';
import { stoppagesPutBacks } from '../subjects/recording/stoppages/stoppages-put-back';
import type { PutBackSet } from '../subjects/orders/work/entry-kinds';
import { stockOperations } from '../subjects/stores/stock/stock-operations';
import { storeOperations } from '../subjects/stores/stock/store-operations';
import { toolsOperations } from '../subjects/recording/tools/tools-operations';
import { isNumberSeries, type NumberSeries } from '../subjects/plant/numbers/numbers';
import { operationOf } from '../subjects/orders/work/entry-ids';
import { workOperations } from '../subjects/orders/work/work-operations';
import { entryKinds } from './entries';

/** What is put back when an entry is taken back, of every kind that moves something. */
const putBacks: PutBackSet = { ...stockPutBacks, ...readingsPutBacks, ...stoppagesPutBacks };

/** Every operation there is, by the name it is sent under. */
export const operations = {
  ...workOperations(entryKinds, putBacks),
  ...raiseOperations,
  ...lifecycleOperations,
  ...demandsOperations,
  ...returnOperations(entryKinds),
  ...reviewOperations,
  ...scheduleOperations,
  ...raiseRulesOperations,
  ...goAheadOperations,
  ...reportsOperations,
  ...answerOperations,
  ...incidentsOperations,
  ...plansOperations,
  ...peopleOperations,
  ...copiesOperations,
  ...hazardsOperations,
  ...isolationOperations,
  ...stepsOperations,
  ...sharesOperations,
  ...roundsOperations,
  ...laborOperations,
  ...clockPlaceOperations,
  ...noneOperations,
  ...stockOperations,
  ...storeOperations,
  ...requestsOperations,
  ...issueOperations,
  ...transfersOperations,
  ...countsOperations,
  ...stoppagesOperations,
  ...faultsOperations,
  ...catalogueOperations,
  ...readingsOperations,
  ...expensesOperations,
  ...servicesOperations,
  ...toolsOperations,
  ...notesOperations,
  ...photosOperations,
  ...attachmentsOperations,
  ...labelsOperations,
  ...reportLabelOperations,
  ...kitListOperations,
  ...noticesOperations,
} as const;

export type OperationName = keyof typeof operations;

type ArgsOfDefinition<D> = D extends OperationDefinition<infer Args, infer _> ? Args : never;

/** What an operation of a name takes. */
export type ArgsOf<N extends OperationName> = ArgsOfDefinition<(typeof operations)[N]>;

/** The arguments of an operation that can be put right when it was refused. */
export type CorrectableOf<N extends OperationName> = keyof (typeof operations)[N]['correct']['fields'] & string;

export function isOperationName(text: string): text is OperationName {
  return Object.hasOwn(operations, text);
}

const anyOperations = operations as unknown as OperationSet;

/** The definition behind a name, with its arguments unknown until its schema has read them; undefined for no name. */
export function operationNamed(name: OperationName): AnyOperation;
export function operationNamed(name: string): AnyOperation | undefined;
export function operationNamed(name: string): AnyOperation | undefined {
  return isOperationName(name) ? anyOperations[name] : undefined;
}

/** Carries out one operation on records, as `applyOneOf` of all operations. */
export function applyOperation(records: Records, operation: Operation, person: Actor, side: Side): Promise<Applied> {
  return applyOneOf(anyOperations, records, operation, person, side);
}

/** Whether it is nobody's business but its person's that somebody did this; so is what is not known here. */
export function isPrivate({ name }: Pick<Operation, 'name'>): boolean {
  return operationNamed(name)?.inLog !== 'forLeads';
}

/** The file that must be with the server before this operation is sent; null for none. */
export function fileNamedBy({ name, args }: Pick<Operation, 'name' | 'args'>): FileId | null {
  const path = operationNamed(name)?.file ?? null;
  if (path === null) return null;
  const id = path.split('.').reduce<unknown>((within, field) => fieldOf(within, field), args);
  return typeof id === 'string' && isFileId(id) ? id : null;
}

/** The types of which the file must be that an operation names; null where any will do. */
export function fileTypesOf({ name }: Pick<Operation, 'name'>): readonly string[] | null {
  return operationNamed(name)?.fileTypes ?? null;
}

/** Of what series an operation takes a number, and which it brings; null where it takes none. */
export function numberTakenBy({
  name,
  args,
}: Pick<Operation, 'name' | 'args'>): { readonly series: NumberSeries; readonly number: string | null } | null {
  const series = operationNamed(name)?.numbered ?? null;
  if (series === null || !isNumberSeries(series)) return null;
  return { series, number: namedIn(args)['number'] ?? null };
}

/** The rows that an operation is going to read by their ids, as far as they can be told before it is applied. */
export function rowsReadBy({ name, args, by }: Pick<Operation, 'name' | 'args'> & { by: PersonId }): RowName[] {
  return (operationNamed(name)?.reads(namedIn(args), by) ?? []).flatMap((row) => row ?? []);
}

/** A field of what may be no object at all. */
function fieldOf(value: unknown, field: string): unknown {
  return typeof value === 'object' && value !== null && Object.hasOwn(value, field)
    ? (value as Readonly<Record<string, unknown>>)[field]
    : undefined;
}

const LONGEST_ID = 64;

/** Those of the arguments that can be the name of a row, before anybody has checked them. */
function namedIn(args: unknown): NamedIn<Readonly<Record<string, unknown>>> {
  if (typeof args !== 'object' || args === null) return {};
  const short = Object.entries(args).filter(([, value]) => typeof value === 'string' && value.length <= LONGEST_ID);
  return Object.fromEntries(short) as Readonly<Record<string, string>>;
}

/** An operation that was made in the shape of an older Oilcan, in the shape of this one. */
export function upgradedOperation(operation: Operation, from: number): Operation {
  const upgrades = operationNamed(operation.name)?.upgrades ?? [];
  const envelope = from < 6 ? withKnownUntil(operation as unknown as Fields) : operation;
  if (typeof operation.args !== 'object' || operation.args === null) return envelope;
  const args = upgraded(upgrades, operation.args as Fields, from);
  return args === operation.args ? envelope : { ...envelope, args };
}

/** Before version 6 the time up to which somebody could know was called `knew`. */
function withKnownUntil({ knew, ...rest }: Fields): Operation {
  return (knew === undefined ? rest : { ...rest, knownUntil: knew }) as unknown as Operation;
}

/** Whether an operation names the entry of one of these, and so cannot be carried out before it. */
export function namesOneOf({ args }: Pick<Operation, 'args'>, ids: ReadonlySet<OperationId>): boolean {
  if (ids.size === 0 || typeof args !== 'object' || args === null) return false;
  return Object.values(args).some((value) => typeof value === 'string' && ids.has(operationOf(value)));
}

import { asId, type EntryId, type OperationId } from '../../../kernel/ids';

/** What an operation may record beside the entry that carries its own id. */
export type EntryBeside =
  | 'state'
  | 'clock'
  | 'reading'
  | 'stoppage'
  | 'out'
  | 'done'
  | 'left'
  | `ended-${number}`
  | `clock-${number}`
  | `for-${number}`
  | `carried-${number}`
  | `reported-${number}`
  | `report-${number}`
  | `worth-${number}`;

/** The id of a further entry of the same operation: made of the operation's, so that applying it again adds nothing. */
export function entryBeside(id: EntryId, beside: EntryBeside): EntryId {
  return asId<EntryId>(`${id}-${beside}`);
}

/** The length of a UUID as text. */
const OPERATION_ID_LENGTH = 36;

/** The operation that made an entry. */
export function operationOf(entryId: EntryId | string): OperationId {
  return asId<OperationId>(entryId.slice(0, OPERATION_ID_LENGTH));
}

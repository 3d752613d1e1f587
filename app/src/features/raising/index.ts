/** What other features may use of this one. */
export { recordTaken } from './record-taken';
export { TakenAlong } from './taken-along';
export { useTakenAlong, type Taken } from './use-taken-along';
export { WhereField, type RaisedAt } from './where-field';

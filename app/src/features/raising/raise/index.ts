/** What other features may use of this one. */
export { OnDay, OneOf } from './plan-choices';
export { RaiseScreen } from './raise-screen';
export { recordTaken } from './record-taken';
export { TakenAlong } from './taken-along';
export { type Taken } from './taken';
export { otherRaised, useRaiseDraft, type RaiseDraft } from './use-raise-draft';
export { WaysChoice, waysOf, isWay, type Way } from './ways';
export { WhereField, type RaisedAt } from './where-field';

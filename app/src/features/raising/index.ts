/** What other features may use of this one. */
export { WhereField, type RaisedAt } from './where-field';

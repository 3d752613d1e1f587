/** What the first screen uses of this one: kept apart, so that it waits for nothing else. */
export { ownWork } from './own-work';
export { inARow, reasonWords } from './rank-words';
export { StandingMark } from './standing';

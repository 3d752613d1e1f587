/** What other features may use of this one. */
export { IsolationList, LocksToTakeOff } from './isolation-list';
export { LOCKS_ELEMENT } from './locks-element';

/** What other features may use of this one. */
export { sayClockAhead } from './clock-words';
export { SentMark } from './sent-mark';
export { SpokenStanding } from './spoken-standing';

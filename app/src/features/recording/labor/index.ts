/** What other features may use of this one. */
export { ClockButton } from './clock-button';
export { ClockCorrectionSheet } from './clock-correction-sheet';
export { ClockLine, loadMatesSheet } from './clock-line';
export { ClocksToStop } from './clocks-to-stop';
export { OverlapLines } from './overlap-lines';
export { RUNNING, useTimesOf } from './own-times';
export { noTime, readTime, typedTime, type TypedTime } from './read-time';
export { TimeFields } from './time-fields';

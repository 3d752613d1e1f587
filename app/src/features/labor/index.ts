/** What other features may use of this one. */
export { ClockButton } from './clock-button';
export { ClocksToStop } from './clocks-to-stop';

/** What other features may use of this one. */
export { AlarmProposal, loadAlarmSheet, noteReading } from './alarm-proposal';
export { NumberSheet } from './number-sheet';

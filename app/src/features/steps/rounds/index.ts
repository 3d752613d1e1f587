/** What other features may use of this one. */
export { AtMachine } from './at-machine';
export { loadRoundSheets, RoundPart } from './round-part';
export { goTo as goToStop, useMachineInSight } from './stop-in-sight';

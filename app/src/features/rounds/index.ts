/** What other features may use of this one. */
export { loadRoundSheets, RoundPart } from './round-part';
export { goTo as goToStop } from './stop-in-sight';

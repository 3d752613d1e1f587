/** What other features may use of this one. */
export { BeforeOpening, DangersThere } from './dangers-there';
export { HazardSheet } from './hazard-sheet';
export { HazardsFirstOf, useHazardsFirst, type HazardsFirst } from './hazards-first';
export { useIsPrepared } from './use-is-prepared';
export { useMayRecord, useOnlyWrites } from './use-may-record';

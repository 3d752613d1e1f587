/** What other features may use of this one. */
export { stepElement } from './step-element';
export { loadStepSheets, StepList } from './step-list';
export { WorkPart } from './work-part';

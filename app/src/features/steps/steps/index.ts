/** What other features may use of this one. */
export { stepElement } from './step-element';
export { loadStepSheets, StepList } from './step-list';
export { NewStepsField } from './new-steps-field';
export { WorkPart } from './work-part';

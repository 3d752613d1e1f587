/** What other features may use of this one. */
export { answerOnPaper } from './kinds/words-of-kinds';
export { stepElement } from './step-element';
export { loadStepSheets, WorkPart } from './work-part';

/** What other features may use of this one. */
export { stepElement } from './step-element';
export { WorkPart } from './work-part';

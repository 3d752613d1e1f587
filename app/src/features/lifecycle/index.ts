/** What other features may use of this one. */
export { WrapUpPart } from './wrap-up-part';

/** What other features may use of this one. */
export { Picture } from './picture';

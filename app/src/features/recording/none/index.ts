/** What other features may use of this one. */
export { NoneAnswers } from './none-answers';

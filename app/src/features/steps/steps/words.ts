/** The words of steps, for features that need no screen of them: what is not drawn there is not loaded there. */
export { answerOnPaper, answerWords } from './kinds/words-of-kinds';

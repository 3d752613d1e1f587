/** What other features may use of this one. */
export { loadShorthandSheet, ShorthandLine } from './shorthand-line';

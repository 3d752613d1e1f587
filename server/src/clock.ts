/** The present, in milliseconds since 1970: given to whatever needs it where it is built, so that a test has its own. */
export type Clock = () => number;

/** The clock of the machine. */
export const machineClock: Clock = () => Date.now();

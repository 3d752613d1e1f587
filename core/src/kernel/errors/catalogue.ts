/** Values that a sentence needs: numbers, names, units. Never free text of a person's. */
export type ErrorValues = Readonly<Record<string, string | number>>;

/** One error or refusal. A code stands for one cause, on the phone, on the server and in the API. */
export interface ErrorDefinition {
  /** The HTTP status that goes with it when it ends a request. */
  readonly status: number;
  /** What is wrong and how to go on, for a person. */
  readonly sentence: (values: ErrorValues) => string;
}

/**
 * Every code there is. Empty here; each floor and subject adds its own beside their sentences (`declare module`), and
 * `registry/errors.ts` does not compile before every one of them is in the catalogue.
 */
// eslint-disable-next-line @typescript-eslint/no-empty-object-type -- it is filled by the subjects
export interface ErrorCodes {}

export type ErrorCode = keyof ErrorCodes & string;

export function defineError(status: number, sentence: string | ((values: ErrorValues) => string)): ErrorDefinition {
  return { status, sentence: typeof sentence === 'string' ? () => sentence : sentence };
}

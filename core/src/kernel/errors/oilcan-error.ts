import type { ErrorCode, ErrorValues } from './catalogue';

/** An error with a code of the one catalogue and the values that its sentence needs. The sentence is the interface's. */
export class OilcanError extends Error {
  readonly code: ErrorCode;
  readonly values: ErrorValues;
  /** The input it is about, as a dotted path, when there is one. */
  readonly field: string | undefined;

  constructor(code: ErrorCode, values: ErrorValues = {}, field?: string) {
    super(code);
    this.name = 'OilcanError';
    this.code = code;
    this.values = values;
    this.field = field;
  }
}

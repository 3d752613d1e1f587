import { sentenceFor, statusFor, type ErrorCode, type ErrorValues } from './catalogue';

/** An error with a code of the one catalogue and the values that its sentence needs. */
export class OilcanError extends Error {
  readonly code: ErrorCode;
  readonly values: ErrorValues;
  readonly status: number;
  /** The input it is about, as a dotted path, when there is one. */
  readonly field: string | undefined;

  constructor(code: ErrorCode, values: ErrorValues = {}, field?: string) {
    super(sentenceFor(code, values));
    this.name = 'OilcanError';
    this.code = code;
    this.values = values;
    this.status = statusFor(code);
    this.field = field;
  }
}

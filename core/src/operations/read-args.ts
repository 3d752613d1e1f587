import * as yup from 'yup';
import type { ErrorCode } from '../kernel/errors/catalogue';
import { surelyTakes } from '../kernel/schema/surely-takes';
import { refuse, type Refusal } from './operation';

/** What a schema may say that is a code of its own and not a sentence. */
const schemaCodes: readonly ErrorCode[] = ['text_too_long', 'control_characters'];

/** Arguments through their schema: typed, or the first thing that is wrong with them. */
export function readArgs<Args>(schema: yup.Schema<Args>, args: unknown): { ok: true; value: Args } | Refusal {
  try {
    // Most are as they should be, and Yup takes long to say so.
    if (surelyTakes(schema, args)) return { ok: true, value: args as Args };
    return { ok: true, value: schema.validateSync(args, { abortEarly: true }) };
  } catch (error) {
    if (error instanceof yup.ValidationError) return refusalOf(error);
    throw error;
  }
}

function refusalOf(error: yup.ValidationError): Refusal {
  const field = error.path === undefined || error.path === '' ? null : error.path;
  const code: ErrorCode = schemaCodes.find((each) => each === error.message) ?? 'invalid';
  if (code === 'text_too_long') {
    const given: unknown = error.params?.['originalValue'] ?? error.params?.['value'];
    const length = typeof given === 'string' ? given.length : 0;
    const limit = Number(error.params?.['limit'] ?? error.params?.['max'] ?? 0);
    return refuse(code, { length, limit }, field);
  }
  return refuse(code, code === 'invalid' ? { reason: error.message } : {}, field);
}

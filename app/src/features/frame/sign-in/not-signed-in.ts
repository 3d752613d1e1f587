import { OilcanError } from '@oilcan/core/kernel';
import { sentenceFor } from '@oilcan/core/registry';
import { Unreachable } from '../../../data/server/server-link';

/** Why somebody could not sign in. */
export function notSignedIn(error: unknown): string {
  if (error instanceof OilcanError) return sentenceFor(error.code, error.values);
  if (error instanceof Unreachable) return 'The server cannot be reached. Check the signal and try again.';
  throw error;
}

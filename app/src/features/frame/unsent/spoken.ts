import type { Contact } from '../../../data/phone/contact';
import { statusOf, type Facts } from './status';

/** What was spoken of last. */
export interface Heard {
  /** What is wrong between this phone and the server; null where nothing is. */
  readonly trouble: Contact | null;
  readonly rejected: number;
}

export const heardNothing: Heard = { trouble: null, rejected: 0 };

/**
 * What a screen reader says of how things stand, short and once: that something was refused, that the line or the phone fails, and
 * that all is well again. That a record waits or goes out is shown, and not spoken with each.
 */
export function spokenOf(heard: Heard, facts: Facts): { readonly heard: Heard; readonly words: string | null } {
  const { contact, pending, rejected } = facts;
  const trouble = contact === 'reached' || contact === 'unknown' ? null : contact;
  const say = (of: Partial<Facts>): string => statusOf({ ...facts, ...of, bringing: null }).words;
  if (rejected > heard.rejected) return { heard: { ...heard, rejected }, words: say({}) };
  if (trouble !== null && trouble !== heard.trouble)
    return { heard: { trouble, rejected }, words: say({ rejected: 0 }) };
  if (trouble === null && heard.trouble !== null && pending === 0)
    return { heard: { trouble, rejected }, words: say({ rejected: 0 }) };
  return { heard: { ...heard, rejected }, words: null };
}

import { minutesBetween, type Instant } from '@oilcan/core/kernel';
import { readArgs } from '@oilcan/core/operations/read-args';
import * as yup from 'yup';
import { now } from './store';

/** A file that nothing names is let go of after a day, so what was taken stays in a draft for less. */
const TAKEN_MINUTES = 20 * 60;

/** Whether a photo or a voice note of then is still on this phone, though nothing names it yet. */
export function isTakenLately(takenAt: Instant | null): boolean {
  return takenAt !== null && minutesBetween(takenAt, now()) < TAKEN_MINUTES;
}

/** A text of a draft: whatever is typed. How long it may be is for the operation to say, with the text still there. */
export const draftText = (): yup.Schema<string> => yup.string().strict().defined();

/** The fields of a draft as they were kept; null where they are not of this shape. */
export function readFields<Fields>(kept: string, schema: yup.Schema<Fields>): Fields | null {
  if (kept === '') return null;
  try {
    const checked = readArgs(schema, JSON.parse(kept));
    return checked.ok ? checked.value : null;
  } catch {
    return null;
  }
}

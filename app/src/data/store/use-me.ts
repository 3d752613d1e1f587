import type { PersonId } from '@oilcan/core/kernel';
import { usePhone } from './store';

/** The person on whose phone this is; screens of the sheet are only drawn for somebody. */
export function useMe(): PersonId {
  const me = usePhone((state) => state.person?.id);
  if (me === undefined) throw new Error('Nobody is signed in.');
  return me;
}

import { nowhere } from '../../../data/database/local-database';
import { useProgress } from '../../../data/store/progress';
import { now, usePhone, useSettings } from '../../../data/store/store';
import { sayMoment } from '../../../words/dates';
import type { Facts } from './status';

/** How this phone stands to the server. */
export function useFacts(): Facts {
  const rejected = usePhone((state) => state.kept.filter((each) => each.where === 'rejected').length);
  const pending = usePhone((state) => state.kept.filter((each) => each.where === 'pending').length);
  const sending = usePhone((state) => state.sending.size);
  const contact = usePhone((state) => state.contact);
  const heard = usePhone((state) => (state.contact === 'reached' ? nowhere.knownUntil : state.heardAt));
  const { gone, bringing } = useProgress();
  const settings = useSettings();
  const heardAt =
    settings === undefined || heard === nowhere.knownUntil
      ? null
      : sayMoment(heard, now(), settings.zone, settings.language);
  return { contact, pending, sending, rejected, inAll: gone + pending, bringing, heardAt };
}

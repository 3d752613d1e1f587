import { counted } from '../../../words/work-words';
import type { Contact } from '../../../data/phone/contact';
import { mdiAlertOutline, mdiCellphone, mdiCheckAll, mdiSignalOff } from '@mdi/js';

/** What the sent mark is about. */
export interface Facts {
  readonly contact: Contact;
  readonly pending: number;
  readonly sending: number;
  readonly rejected: number;
  /** Of how many, this one included, that waited at once. */
  readonly inAll: number;
  /** Of the files that are being brought, how many are kept; null when none is. */
  readonly bringing: { readonly kept: number; readonly of: number } | null;
  /** When the server was last heard, as a person says it; null when never. */
  readonly heardAt: string | null;
}

export interface Status {
  readonly icon: string;
  readonly words: string;
}

/** Of so many it is said how far they are. */
const MANY = 20;

/** How things stand between this phone and the server, most pressing first, in a few words. */
export function statusOf({ contact, pending, sending, rejected, inAll, bringing, heardAt }: Facts): Status {
  if (rejected > 0) return { icon: mdiAlertOutline, words: counted(rejected, 'needs you', 'need you') };
  if (contact === 'signed-out') return { icon: mdiAlertOutline, words: 'Sign in to send' };
  if (contact === 'older') return { icon: mdiAlertOutline, words: 'Update to send' };
  if (contact === 'phone-full') return { icon: mdiAlertOutline, words: 'Phone is full' };
  if (contact === 'phone-failed') return { icon: mdiAlertOutline, words: 'Phone cannot save' };
  if (bringing !== null) return { icon: mdiCellphone, words: `Keeping ${bringing.kept} of ${bringing.of}` };
  if (sending > 0 && contact !== 'no-signal')
    return { icon: mdiCellphone, words: inAll < MANY ? `Sending ${sending}` : `Sent ${inAll - pending} of ${inAll}` };
  const icon = contact === 'no-signal' ? mdiSignalOff : mdiCellphone;
  if (pending > 0) return { icon, words: `${pending} on this phone` };
  if (contact === 'no-signal') return { icon, words: heardAt === null ? 'No signal' : `No signal since ${heardAt}` };
  if (contact === 'server-trouble' || contact === 'newer') return { icon, words: 'Server not ready' };
  return { icon: mdiCheckAll, words: 'All sent' };
}

/** The same at length, with what happens next. */
export function explain({ contact, pending, rejected, heardAt }: Facts): string {
  const waiting = pending === 0 ? '' : ` ${counted(pending, 'record waits', 'records wait')} here`;
  const goes =
    pending === 0 ? '' : ` and ${pending === 1 ? 'goes' : 'go'} out by ${pending === 1 ? 'itself' : 'themselves'}.`;
  const since = heardAt === null ? '' : ` since ${heardAt}`;
  switch (contact) {
    case 'no-signal':
      return `No signal${since}.${waiting}${goes} Everything works meanwhile.`;
    case 'server-trouble':
      return `The server cannot take anything just now.${waiting}${goes}`;
    case 'older':
      return 'This Oilcan is older than the server. Update it; what you recorded stays on this phone.';
    case 'newer':
      return 'This Oilcan is newer than the server. What you recorded goes out once the server is updated.';
    case 'phone-full':
      return 'This phone has no space left for what comes from the server. Free some space; nothing is lost.';
    case 'phone-failed':
      return 'This browser could not save what comes from the server. It tries again by itself; if it stays so, load Oilcan again. Nothing that you recorded is lost.';
    case 'signed-out':
      return 'Your session has ended. Nothing is lost; it goes out when you have signed in again.';
    case 'unknown':
    case 'reached':
      if (pending > 0) return `On the way:${waiting}${goes}`;
      if (rejected > 0) return 'Everything else recorded on this phone is with the server.';
      return 'Everything recorded on this phone is with the server.';
  }
}

import { counted } from '../../words/work-words';
import type { Contact } from '../../data/contact';
import { mdiAlertOutline, mdiCellphone, mdiCheckAll, mdiSignalOff } from '@mdi/js';

/** What the sent mark is about. */
export interface Facts {
  readonly contact: Contact;
  readonly pending: number;
  readonly sending: number;
  readonly rejected: number;
  /** When the server was last heard, as a person says it; null when never. */
  readonly heardAt: string | null;
}

export interface Standing {
  readonly icon: string;
  readonly words: string;
}

/** How things stand between this phone and the server, most pressing first, in a few words. */
export function standingOf({ contact, pending, sending, rejected, heardAt }: Facts): Standing {
  if (rejected > 0) return { icon: mdiAlertOutline, words: counted(rejected, 'needs you', 'need you') };
  if (contact === 'signed-out') return { icon: mdiAlertOutline, words: 'Sign in to send' };
  if (contact === 'older') return { icon: mdiAlertOutline, words: 'Update to send' };
  if (contact === 'phone-full') return { icon: mdiAlertOutline, words: 'Phone is full' };
  if (sending > 0 && contact !== 'no-signal') return { icon: mdiCellphone, words: `Sending ${sending}` };
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
    case 'signed-out':
      return 'Your session has ended. Nothing is lost; it goes out when you have signed in again.';
    case 'unknown':
    case 'reached':
      if (pending > 0) return `On the way:${waiting}${goes}`;
      if (rejected > 0) return 'Everything else recorded on this phone is with the server.';
      return 'Everything recorded on this phone is with the server.';
  }
}

import type { Instant } from '@oilcan/core/kernel';
import { noticeChoiceOf, type Notice } from '@oilcan/core/overview/notices';
import { noticeHeadline } from '@oilcan/core/registry';
import { SETTINGS_ID } from '@oilcan/core/orders/settings';
import { pathOfNotice } from './notice-words';
import { isPathToOpen, type PathToOpen } from './path-to-open';
import { peekAll, peekRow, usePhone } from '../../../data/store/store';

/** Whether this browser shows notifications for us. */
export type PushStanding = 'allowed' | 'asked for' | 'not to be had';

export function pushStanding(): PushStanding {
  // Phones let nothing but a service worker show them.
  if (typeof Notification === 'undefined' || !('serviceWorker' in navigator)) return 'not to be had';
  if (Notification.permission === 'denied') return 'not to be had';
  return Notification.permission === 'granted' ? 'allowed' : 'asked for';
}

export async function askForPush(): Promise<PushStanding> {
  await Notification.requestPermission();
  return pushStanding();
}

/** Shows what is new since it was started, as the person chose it, through the browser's own notifications. */
export function showPushes(since: Instant): () => void {
  let shownUntil = since;
  return usePhone.subscribe(() => {
    const me = usePhone.getState().person?.id;
    if (me === undefined) return;
    const fresh = peekAll('notices').filter(
      ({ personId, at, seenAt }) => personId === me && seenAt === null && at > shownUntil,
    );
    if (fresh.length === 0) return;
    shownUntil = fresh.reduce((latest, { at }) => (at > latest ? at : latest), shownUntil);
    if (pushStanding() !== 'allowed') return;
    const { push } = noticeChoiceOf(me, peekRow('noticeChoices', me));
    for (const notice of fresh) {
      // What cannot be shown (it was forbidden just now) stands in the list all the same.
      if (push.includes(notice.kind)) show(notice).catch(() => undefined);
    }
  });
}

async function show(notice: Notice): Promise<void> {
  const { id, number, title } = notice;
  const data: PathToOpen = { open: pathOfNotice(notice) };
  const registration = await navigator.serviceWorker.ready;
  const zone = peekRow('settings', SETTINGS_ID)?.zone ?? 'UTC';
  await registration.showNotification(noticeHeadline(notice, zone), { body: `${number} ${title}`, tag: id, data });
}

/** Goes where a pressed notification leads. */
export function followPushes(go: (path: PathToOpen['open']) => void): () => void {
  if (!('serviceWorker' in navigator)) return () => undefined;
  const listen = ({ data }: MessageEvent): void => {
    if (isPathToOpen(data)) go(data.open);
  };
  navigator.serviceWorker.addEventListener('message', listen);
  return () => navigator.serviceWorker.removeEventListener('message', listen);
}

import { noticeChoiceOf, type Instant, type Notice } from '@oilcan/core';
import { noticeHeadline } from './notice-words';
import { peekAll, peekRow, usePhone } from '../../data/store';

/** Whether this browser shows notifications for us. */
export type PushStanding = 'allowed' | 'asked for' | 'not to be had';

export function pushStanding(): PushStanding {
  if (typeof Notification === 'undefined' || Notification.permission === 'denied') return 'not to be had';
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
    for (const notice of fresh) if (push.includes(notice.kind)) show(notice);
  });
}

function show(notice: Notice): void {
  const { id, number, title, workOrderId } = notice;
  try {
    const shown = new Notification(noticeHeadline(notice), { body: `${number} ${title}`, tag: id });
    shown.onclick = () => {
      window.focus();
      window.location.assign(`/shift/${workOrderId}`);
    };
  } catch {
    // Phones let only a service worker show them; then they stand in the list.
  }
}

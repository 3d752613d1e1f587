import type { Instant, Zone } from '@oilcan/core/kernel';
import { openAmount, requestState, settledOf, type Handout, type StoreRequest } from '@oilcan/core/stores/requests';
import { amountOf } from '../../../words/amounts';
import { sayMoment } from '../../../words/dates';

/** Where something that was handed out is: `ready at Base counter`, `on the way with Pavel`, `handed out`. */
export function handoutWords({ way, where, receivedAt }: Handout): string {
  if (receivedAt !== null) return 'handed out';
  if (way === 'pickUp') return where === '' ? 'lies ready' : `ready at ${where}`;
  return where === '' ? 'on the way' : `on the way with ${where}`;
}

/** How a request stands, in a few words. */
export function requestWords(request: StoreRequest): string {
  const waiting = request.handouts.find(({ receivedAt }) => receivedAt === null);
  switch (requestState(request)) {
    case 'asked':
      return 'asked';
    case 'partly':
      return `${amountOf(settledOf(request), request)} given, ${amountOf(openAmount(request), request)} still to come`;
    case 'ready':
      return waiting === undefined ? 'lies ready' : handoutWords(waiting);
    case 'handedOut':
      return request.handouts.length === 0 ? 'taken from a bin' : 'handed out';
    case 'declined':
      return `not to be had: ${request.closed?.reason ?? ''}`;
    case 'withdrawn':
      return 'taken back';
  }
}

/** By when it is needed: `by 14:20`, `late since 9:10`; `whenever` where nobody said. */
export function neededWords(neededBy: Instant | null, now: Instant, zone: Zone, language: string): string {
  if (neededBy === null) return 'whenever';
  const at = sayMoment(neededBy, now, zone, language);
  return neededBy < now ? `needed since ${at}` : `by ${at}`;
}

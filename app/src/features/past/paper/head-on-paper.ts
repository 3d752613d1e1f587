import type { Settings } from '@oilcan/core/orders/settings';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { peekRow } from '../../../data/store/store';
import { kindWords, urgencyWords } from '../../../words/work-words';

/** What stands at the head of every paper of a job. */
export function headOnPaper({ number, title, reason }: WorkOrder, { organization }: Settings) {
  return { number, title, organization, reason };
}

/** What the job is about, where it is and how soon, as the first lines below that. */
export function factsOnPaper(work: WorkOrder): (readonly [label: string, value: string])[] {
  const asset = peekRow('assets', work.assetId);
  return [
    ['Machine', `${asset?.name ?? ''} (${asset?.tag ?? ''})`],
    ['Place', peekRow('places', work.placeId)?.name ?? ''],
    ['Kind', `${kindWords[work.kind]}, ${urgencyWords[work.urgency]}`],
  ];
}

import type { Instant } from '@oilcan/core/kernel';
import type { Asset } from '@oilcan/core/plant/plant';
import type { Settings } from '@oilcan/core/orders/settings';
import { rankReasons, type RankReason } from '@oilcan/core/finishing/shift';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { sayDue } from '../../../words/dates';
import { counted, urgencyWords } from '../../../words/work-words';

/** Why a job stands where it does, as a sentence. */
export function whyHere(work: WorkOrder, asset: Asset | undefined, present: Instant, settings: Settings): string {
  const reasons = rankReasons({ work, asset }, present, settings.zone);
  const words = reasons.map((reason) => reasonWords(reason, asset?.name ?? '', settings, present));
  return `It stands here because ${inARow(words)}.`;
}

/** `one, another and a third`. */
export function inARow(words: readonly string[]): string {
  const last = words.at(-1) ?? '';
  return words.length < 2 ? last : `${words.slice(0, -1).join(', ')} and ${last}`;
}

/** A reason why a job stands where it does, as a clause. */
export function reasonWords(reason: RankReason, machine: string, settings: Settings, present: Instant): string {
  switch (reason.is) {
    case 'late':
      return reason.days < 1 ? 'it was due today' : `it is ${counted(reason.days, 'day', 'days')} late`;
    case 'urgency':
      return `its urgency is “${urgencyWords[reason.urgency]}”`;
    case 'condition':
      return `${machine} ${reason.condition === 'stopped' ? 'stands still' : 'runs, but not fully'}`;
    case 'criticality':
      return `${machine} is critical: ${reason.criticality} of 4, where 1 is the most`;
    case 'due':
      return `it is due ${sayDue(reason.at, present, settings.zone, settings.language)}`;
    case 'ended':
      return 'it is done';
  }
}

import { standingOfSeal } from '@oilcan/core/registry';
import type { Entry, EntryOf } from '@oilcan/core/orders/work';
import { counted } from '../../../words/work-words';

/** What became of the record since it was signed for; empty for nothing. */
export function sinceSigned({ content }: EntryOf<'returned'>, entries: readonly Entry[]): string {
  const { amended, added, isBroken } = standingOfSeal(content.seal, entries);
  if (isBroken) return 'What was signed for is not all here, or not as it was.';
  const since = [
    ...(amended === 0 ? [] : [`${counted(amended, 'entry', 'entries')} amended`]),
    ...(added === 0 ? [] : [`${counted(added, 'entry', 'entries')} added`]),
  ];
  return since.length === 0 ? '' : `Since it was signed: ${since.join(', ')}.`;
}

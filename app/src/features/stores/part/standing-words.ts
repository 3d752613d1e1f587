import type { PartStanding } from '@oilcan/core/stores/issue';
import type { Part } from '@oilcan/core/stores/stock';
import { amountOf } from '../../../words/amounts';
import { counted } from '../../../words/work-words';

/** How a part stands, in one or two sentences; they say what they count, and that it is what this phone knows. */
export function standingWords(standing: PartStanding, part: Part): string {
  const { onHand, bins, needed, jobs, askedBeyond, remains, inTransit } = standing;
  const there =
    bins === 0
      ? 'No bin holds it.'
      : `${amountOf(onHand, part)} on hand${bins < 2 ? '' : ` in ${counted(bins, 'bin', 'bins')}`}.`;
  const wants = [
    needed === 0 ? '' : `${counted(jobs, 'open job needs', 'open jobs need')} ${amountOf(needed, part)}`,
    askedBeyond === 0 ? '' : `${amountOf(askedBeyond, part)} are asked for beside`,
  ].filter(Boolean);
  const left =
    wants.length === 0
      ? 'No open job needs it.'
      : `${wants.join(', and ')}: ${remains < 0 ? `${amountOf(-remains, part)} are short` : `${amountOf(remains, part)} remain`}.`;
  const coming = inTransit === 0 ? '' : ` ${amountOf(inTransit, part)} are on the way.`;
  const unsure = standing.wantsCount ? ' A bin stands below zero by the books: count it before you rely on this.' : '';
  return `${there} ${left}${coming}${unsure}`;
}

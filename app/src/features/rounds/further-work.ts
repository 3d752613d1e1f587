import type { AssetId } from '@oilcan/core/kernel';
import type { ArgsOf } from '@oilcan/core/registry';
import { isFaultyStill, type Remark, type RoundStanding } from '@oilcan/core/rounds';
import { pointOf } from '@oilcan/core/steps';
import type { WorkOrder } from '@oilcan/core/work';
import { furtherWorkOrder } from '../../data/new-work';
import { phoneNames } from '../views/names';
import { answerWords } from '../steps/words';
import { levelWords } from '../../words/work-words';

/** Longer than this a title is not read. */
const LONGEST_TITLE = 120;

/** What is left to be done at one machine of a round. */
export interface Left {
  readonly assetId: AssetId;
  readonly remarks: readonly Remark[];
}

/** What is left to be done after a round, machine by machine: what is faulty still, and what is beyond alarm. */
export function leftAfter(round: RoundStanding): Left[] {
  return round.stops.flatMap(({ stop, remarks }) => {
    const left = remarks.filter((remark) => isFaultyStill(remark) || remark.level === 'alarm');
    return left.length === 0 ? [] : [{ assetId: stop.assetId, remarks: left }];
  });
}

/** One thing that is left, in words: “Hoses and rod dry: faulty still”. */
export function remarkWords({ step, level, faulty }: Remark): string {
  const said = answerWords(step.answer?.value ?? null, step.question, phoneNames);
  const beyond = level === 'normal' ? '' : `, ${levelWords[level].toLowerCase()}`;
  return faulty === null ? `${step.text}: ${said}${beyond}` : `${step.text}: ${said}`;
}

/** The work order that mends what is left at one machine. */
export function furtherWork(work: WorkOrder, { assetId, remarks }: Left): ArgsOf<'work.raise'> {
  const words = remarks.map(remarkWords);
  const title = words.join('; ');
  return furtherWorkOrder({
    assetId,
    title: title.length <= LONGEST_TITLE ? title : `${title.slice(0, LONGEST_TITLE - 1)}…`,
    reason: `Found on ${work.number}, ${work.title}:\n${words.join('\n')}`,
    urgency: remarks.some(({ level }) => level === 'alarm') ? 'shift' : 'week',
    tradeId: work.tradeId,
    cameFrom: work.id,
    answers: remarks.flatMap(({ step }) => [step.id, pointOf(step.question) ?? step.id]),
  });
}

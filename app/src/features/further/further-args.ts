import type { LeftOver, Proposal } from '@oilcan/core/further';
import type { ArgsOf } from '@oilcan/core/registry';
import { standingOf, type Entry, type WorkOrder } from '@oilcan/core/work';
import { furtherWorkOrder } from '../../data/new-work';
import { phoneNames } from '../views/names';
import { answerWords } from '../steps/words';

/** Longer than this a title is not read. */
const MOST_IN_TITLE = 120;

type Raised = ArgsOf<'work.raise'>;

/** One thing that is left, in words: “Hoses and rod dry: faulty still”. */
export function leftWords(left: LeftOver): string {
  return left.is === 'alarm'
    ? `${left.name}: ${left.value} ${left.unit}, beyond its alarm`
    : `${left.step.text}: ${answerWords(left.step.answer?.value ?? null, left.step.question, phoneNames)}`;
}

/** Notes and photos about the steps that it answers go along with it. */
function entriesAbout(proposal: Proposal, entries: readonly Entry[]): Entry['id'][] {
  const keys = new Set(proposal.map(({ key }) => key));
  return [...standingOf(entries, 'photo'), ...standingOf(entries, 'note')]
    .filter(({ content }) => 'stepId' in content && content.stepId !== undefined && keys.has(content.stepId))
    .map(({ id }) => id);
}

/** The work order that answers what is left. */
export function furtherArgs(work: WorkOrder, proposal: Proposal, entries: readonly Entry[]): Raised {
  const [first] = proposal;
  const words = proposal.map(leftWords);
  const title = words.join('; ');
  const alarm = proposal.find((left) => left.is === 'alarm');
  return furtherWorkOrder({
    assetId: first.assetId,
    title: title.length <= MOST_IN_TITLE ? title : `${title.slice(0, MOST_IN_TITLE - 1)}…`,
    reason: `Found on ${work.number}, ${work.title}:\n${words.join('\n')}`,
    urgency: alarm === undefined ? 'week' : 'shift',
    tradeId: first.tradeId,
    cameFrom: work.id,
    answers: proposal.map(({ key }) => key as never),
    carried: entriesAbout(proposal, entries),
    ...(alarm?.is === 'alarm' && alarm.pointId !== null ? { alarmOf: alarm.pointId } : {}),
  });
}

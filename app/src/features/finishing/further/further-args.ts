import { saidAbout, type LeftOver, type Proposal, type SaidAbout } from '@oilcan/core/finishing/further';
import { LONGEST_TEXT } from '@oilcan/core/kernel';
import { MOST_CARRIED } from '@oilcan/core/raising/raise';
import type { ArgsOf } from '@oilcan/core/registry/operations';
import type { Step } from '@oilcan/core/steps/steps';
import type { Entry, WorkOrder } from '@oilcan/core/orders/work';
import { furtherWorkOrder } from '../../../data/queries/new-work';
import { phoneNames } from '../../frame/views/names';
import { answerWords } from '../../steps/steps/words';

/** Longer than this a title is not read. */
const MOST_IN_TITLE = 120;

type Raised = ArgsOf<'work.raise'>;

/** One thing that is left, in words: “Hoses and rod dry: faulty still”. */
export function leftWords(left: LeftOver): string {
  return left.is === 'alarm'
    ? `${left.name}: ${left.value} ${left.unit}, beyond its alarm`
    : `${left.step.text}: ${answerWords(left.step.answer?.value ?? null, left.step.question, phoneNames)}`;
}

/** What was said of it where it was found, a line each: the answers below its step, and the words noted there. */
function saidLines({ answers, notes }: SaidAbout): string[] {
  return [
    ...answers.map((step) => `  ${step.text}: ${answerWords(step.answer?.value ?? null, step.question, phoneNames)}`),
    ...notes.map((text) => `  “${text.trim()}”`),
  ];
}

/** What a job says of itself. */
interface Said {
  readonly steps: readonly Step[];
  readonly entries: readonly Entry[];
}

/** The work order that answers what is left, with everything that was said of it. */
export function furtherArgs(work: WorkOrder, proposal: Proposal, { steps, entries }: Said): Raised {
  const [first] = proposal;
  const words = proposal.map(leftWords);
  const title = words.join('; ');
  const said = proposal.map((left) => saidAbout(left, steps, entries));
  const found = words.flatMap((each, index) => [each, ...(said[index] === undefined ? [] : saidLines(said[index]))]);
  const alarm = proposal.find((left) => left.is === 'alarm');
  return furtherWorkOrder({
    assetId: first.assetId,
    title: shortened(title, MOST_IN_TITLE),
    reason: shortened(`Found on ${work.number}, ${work.title}:\n${found.join('\n')}`, LONGEST_TEXT),
    urgency: alarm === undefined ? 'week' : 'shift',
    tradeId: first.tradeId,
    cameFrom: work.id,
    answers: proposal.map(({ key }) => key as never),
    carried: [...new Set(said.flatMap(({ carried }) => carried))].slice(0, MOST_CARRIED),
    ...(alarm?.is === 'alarm' && alarm.pointId !== null ? { alarmOf: alarm.pointId } : {}),
  });
}

function shortened(text: string, most: number): string {
  return text.length <= most ? text : `${text.slice(0, most - 1)}…`;
}

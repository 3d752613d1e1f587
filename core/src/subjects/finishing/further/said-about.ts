import type { EntryId, StepId } from '../../../kernel/ids';
import { placed } from '../../steps/steps/branches';
import { pictureOfAnswer, pointOf, type Step } from '../../steps/steps/step';
import { currentOf, type Entry } from '../../orders/work/entries';
import type { LeftOver } from './left';

/** What was said of something that is left, where it was found. */
export interface SaidAbout {
  /** The answered questions below its step, in the order in which they are asked. */
  readonly answers: readonly Step[];
  /** The words noted there, the oldest first. */
  readonly notes: readonly string[];
  /** The entries that stand in the record of the work that mends it: notes, photos and answers that are pictures. */
  readonly carried: readonly EntryId[];
}

/** What was said at the step of something that is left, or at the step that asked for its measuring point, and at those below it. */
export function saidAbout(left: LeftOver, steps: readonly Step[], entries: readonly Entry[]): SaidAbout {
  const all = placed(steps);
  const there = new Set<StepId>(
    all
      .map(({ step }) => step)
      .filter((step) => isOf(left, step))
      .map(({ id }) => id),
  );
  const below: Step[] = [];
  // A step comes after the one that it is part of.
  for (const { step, isInForce } of all) {
    if (!isInForce || step.parentId === null || !there.has(step.parentId) || there.has(step.id)) continue;
    there.add(step.id);
    below.push(step);
  }
  const isThere = (entry: Entry): boolean => 'stepId' in entry.content && there.has(entry.content.stepId as StepId);
  const notes = currentOf(entries, 'note').filter(isThere);
  const photos = currentOf(entries, 'photo').filter(isThere);
  const pictures = all.flatMap(({ step: { id, answer } }) =>
    there.has(id) && answer !== null && pictureOfAnswer(answer.value) !== null ? [answer.entryId] : [],
  );
  return {
    answers: below.filter(({ answer }) => answer !== null && pictureOfAnswer(answer.value) === null),
    notes: [...notes].sort((a, b) => (a.at < b.at ? -1 : 1)).map(({ content }) => content.text),
    carried: [...photos.map(({ id }) => id), ...notes.map(({ id }) => id), ...pictures],
  };
}

/** Whether a step is the one at which something was found. */
function isOf(left: LeftOver, step: Step): boolean {
  if (step.id === left.key) return true;
  return left.is === 'alarm' && left.pointId !== null && pointOf(step.question) === left.pointId;
}

import type { EntryId, PersonId, ShareId, StepId } from '../../kernel/ids';
import type { OwedRules } from '../settings/settings';
import { runningClocks, type Clock } from '../labor/clock';
import { standingOf, type Entry } from '../work/entries';
import { isolationOf } from '../isolation/isolation';
import type { IsolationPoint } from '../work/work-order';
import { saidNone } from '../none/none';
import { isShareDone, progressOfShares, sharesOfSteps, type Share } from '../shares/share';
import { placed } from '../steps/branches';
import type { Progress, Step } from '../steps/step';

/** One thing without which a work order cannot be finished. */
export type Owed =
  | { readonly what: 'step'; readonly stepId: StepId; readonly text: string }
  /** Of somebody else's share: theirs to do, or to be passed on. */
  | { readonly what: 'share'; readonly shareId: ShareId; readonly personId: PersonId; readonly progress: Progress }
  | { readonly what: 'time' }
  /** Cause and work of a fault, which were not known when it was recorded. */
  | { readonly what: 'codes'; readonly entryId: EntryId; readonly component: string }
  | { readonly what: 'clockOfAnother'; readonly personId: PersonId }
  | { readonly what: 'lock'; readonly pointId: string; readonly device: string; readonly personId: PersonId };

/** What a work order holds of which something can be owed. */
export interface Recorded {
  readonly steps: readonly Step[];
  readonly entries: readonly Entry[];
  readonly clocks: readonly Clock[];
  readonly isolation?: readonly IsolationPoint[];
  readonly shares?: readonly Share[];
}

/**
 * What is still owed before the person may finish, in the order in which it would be done.
 * The person's own running clock owes nothing: finishing stops it and records its time.
 */
export function owedBefore(
  finisher: PersonId,
  { steps, entries, clocks, isolation = [], shares = [] }: Recorded,
  rules: OwedRules,
): Owed[] {
  const owed: Owed[] = [];
  if (rules.steps) {
    const ofOthers = shares.filter(({ personId }) => personId !== finisher);
    const inShare = sharesOfSteps(ofOthers, steps);
    for (const { step, isInForce } of placed(steps)) {
      if (isInForce && step.answer === null && !inShare.has(step.id))
        owed.push({ what: 'step', stepId: step.id, text: step.text });
    }
    const progress = progressOfShares(ofOthers, steps);
    for (const { id, personId } of ofOthers) {
      const standing = progress.get(id);
      if (standing === undefined || isShareDone(standing)) continue;
      owed.push({ what: 'share', shareId: id, personId, progress: standing });
    }
  }
  const ownClockRuns = runningClocks(clocks).some((clock) => clock.id === finisher);
  const timeIsSaid = standingOf(entries, 'labor').length > 0 || saidNone(entries, finisher).includes('time');
  if (rules.time && !ownClockRuns && !timeIsSaid) owed.push({ what: 'time' });
  if (rules.codes === true)
    for (const { id, content } of standingOf(entries, 'fault'))
      if (content.cause === '' || content.activity === null)
        owed.push({ what: 'codes', entryId: id, component: content.component });
  for (const clock of runningClocks(clocks)) {
    if (clock.id !== finisher) owed.push({ what: 'clockOfAnother', personId: clock.id });
  }
  for (const { point, locks } of isolationOf(isolation, entries).points) {
    for (const { by } of locks) owed.push({ what: 'lock', pointId: point.id, device: point.device, personId: by });
  }
  return owed;
}

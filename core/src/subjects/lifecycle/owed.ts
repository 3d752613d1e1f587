import type { PersonId, StepId } from '../../kernel/ids';
import type { OwedRules } from '../settings/settings';
import type { Clock } from '../labor/clock';
import { standingOf, type Entry } from '../work/entries';
import { isolationOf } from '../isolation/isolation';
import type { IsolationPoint } from '../work/work-order';
import { placed } from '../steps/branches';
import type { Step } from '../steps/step';

/** One thing without which a work order cannot be finished. */
export type Owed =
  | { readonly what: 'step'; readonly stepId: StepId; readonly text: string }
  | { readonly what: 'time' }
  | { readonly what: 'clockOfAnother'; readonly personId: PersonId }
  | { readonly what: 'lock'; readonly pointId: string; readonly device: string; readonly personId: PersonId };

/**
 * What is still owed before the person may finish, in the order in which it would be done.
 * The person's own running clock owes nothing: finishing stops it and records its time.
 */
export function owedBefore(
  finisher: PersonId,
  steps: readonly Step[],
  entries: readonly Entry[],
  clocks: readonly Clock[],
  rules: OwedRules,
  isolation: readonly IsolationPoint[] = [],
): Owed[] {
  const owed: Owed[] = [];
  if (rules.steps) {
    for (const { step, isInForce } of placed(steps)) {
      if (isInForce && step.answer === null) owed.push({ what: 'step', stepId: step.id, text: step.text });
    }
  }
  const ownClockRuns = clocks.some((clock) => clock.id === finisher);
  if (rules.time && !ownClockRuns && standingOf(entries, 'labor').length === 0) owed.push({ what: 'time' });
  for (const clock of clocks) {
    if (clock.id !== finisher) owed.push({ what: 'clockOfAnother', personId: clock.id });
  }
  for (const { point, locks } of isolationOf(isolation, entries).points) {
    for (const { by } of locks) owed.push({ what: 'lock', pointId: point.id, device: point.device, personId: by });
  }
  return owed;
}

import type { NewStep } from '../steps/new-step';

/**
 * Some steps of a list, in the list's order. A step that was part of one that is left out, or waited for its answer, stands by itself.
 *
 * @param chosen where the steps stand in the list, counted from 0, in any order
 */
export function stepsChosen(steps: readonly NewStep[], chosen: readonly number[]): NewStep[] {
  const places = [...new Set(chosen)].filter((at) => steps[at] !== undefined).sort((a, b) => a - b);
  const placeOf = new Map(places.map((at, index) => [at, index]));
  return places.flatMap((at): NewStep[] => {
    const step = steps[at];
    if (step === undefined) return [];
    const under = step.under === null ? null : (placeOf.get(step.under) ?? null);
    const waitsFor = step.when === null ? undefined : placeOf.get(step.when.step);
    const when = step.when === null || waitsFor === undefined ? null : { ...step.when, step: waitsFor };
    return [{ ...step, under, when }];
  });
}

/** Steps that come after so many others: what they name within their own list moves with them. */
export function stepsAfter(steps: readonly NewStep[], before: number): NewStep[] {
  return steps.map((step) => ({
    ...step,
    under: step.under === null ? null : step.under + before,
    when: step.when === null ? null : { ...step.when, step: step.when.step + before },
  }));
}

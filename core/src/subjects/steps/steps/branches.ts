import type { StepId } from '../../../kernel/ids';
import { passes } from './condition';
import type { Progress, Step } from './step';

/** A step where it stands among the others. */
export interface PlacedStep {
  readonly step: Step;
  /** Its number as people say it: `3`, and `3.1` for the first step of it. */
  readonly number: string;
  /** How many steps it is part of. */
  readonly depth: number;
  /** Whether it is asked, by what was answered so far. */
  readonly isInForce: boolean;
}

/**
 * The steps that are asked: those whose step they are part of is asked, and whose condition is met by a step that is asked
 * itself. What goes round in a circle, or waits for a step that is not there, is asked: better once too often than never.
 */
export function inForce(steps: readonly Step[]): ReadonlySet<StepId> {
  const byId = new Map(steps.map((step) => [step.id, step]));
  const known = new Map<StepId, boolean>();
  const waiting = new Set<StepId>();
  const isAsked = (step: Step): boolean => {
    if (step.parentId === null && step.condition === null) return true;
    const before = known.get(step.id);
    if (before !== undefined) return before;
    if (waiting.has(step.id)) return true;
    waiting.add(step.id);
    const parent = step.parentId === null ? undefined : byId.get(step.parentId);
    const source = step.condition === null ? undefined : byId.get(step.condition.stepId);
    const answer =
      (parent === undefined || isAsked(parent)) &&
      (step.condition === null ||
        source === undefined ||
        (isAsked(source) && passes(step.condition.test, source.question, source.answer?.value ?? null)));
    waiting.delete(step.id);
    known.set(step.id, answer);
    return answer;
  };
  return new Set(steps.filter(isAsked).map(({ id }) => id));
}

/** Every step in the order in which it is done, each followed by those that are part of it. */
export function placed(steps: readonly Step[]): PlacedStep[] {
  const ids = new Set(steps.map(({ id }) => id));
  const asked = inForce(steps);
  const children = new Map<StepId | null, Step[]>();
  for (const step of steps) {
    const under = step.parentId !== null && ids.has(step.parentId) ? step.parentId : null;
    const siblings = children.get(under);
    if (siblings === undefined) children.set(under, [step]);
    else siblings.push(step);
  }
  const roots = children.get(null)?.length ?? 0;
  const all: PlacedStep[] = [];
  const place = (under: StepId | null, before: string, depth: number): void => {
    for (const [index, step] of inOrder(children.get(under) ?? []).entries()) {
      const number = `${before}${index + 1}`;
      all.push({ step, number, depth, isInForce: asked.has(step.id) });
      place(step.id, `${number}.`, depth + 1);
    }
  };
  place(null, '', 0);
  // What is part of itself is under nothing, and stands at the end.
  const standing = new Set(all.map(({ step }) => step.id));
  const circling = inOrder(steps.filter(({ id }) => !standing.has(id)));
  const rest = circling.map((step, index) => ({ step, number: `${roots + index + 1}`, depth: 0, isInForce: true }));
  return [...all, ...rest];
}

function inOrder(steps: readonly Step[]): Step[] {
  return [...steps].sort((a, b) => a.position - b.position || (a.id < b.id ? -1 : 1));
}

/** How many of the steps that are asked have an answer, or were skipped. */
export function progressOf(steps: readonly Step[]): Progress {
  return progressAmong(steps, inForce(steps));
}

/** As `progressOf`, of some of the steps, where it is known which of all are asked. */
export function progressAmong(some: readonly Step[], asked: ReadonlySet<StepId>): Progress {
  const counted = some.filter(({ id }) => asked.has(id));
  return { done: counted.filter(({ answer }) => answer !== null).length, of: counted.length };
}

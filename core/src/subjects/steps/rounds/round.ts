import type { StepId, StopId } from '../../../kernel/ids';
import type { ReadingLevel } from '../readings/limits';
import { inForce, progressAmong } from '../steps/branches';
import { levelOfAnswer } from '../steps/level-of-answer';
import { faultyOf, type Progress, type Step } from '../steps/step';
import type { AsLeft } from '../steps/kinds/step-kind';
import { inWalkingOrder, type Stop } from './stop';

/** A step at which something was out of order, and what. */
export interface Remark {
  readonly step: Step;
  /** How it was left, where it was found faulty. */
  readonly faulty: AsLeft | null;
  /** Which limit its number is beyond. */
  readonly level: ReadingLevel;
}

/** How one stop of a round stands. */
export interface StopStanding {
  readonly stop: Stop;
  /** As people count: the first is 1. */
  readonly number: number;
  readonly progress: Progress;
  readonly remarks: readonly Remark[];
  /** Everything there is answered or skipped, or the stop is left out. */
  readonly isDone: boolean;
}

/** How a round stands. */
export interface RoundStanding {
  readonly stops: readonly StopStanding[];
  /** The first stop in walking order that is not done; null when all are. */
  readonly next: StopStanding | null;
  /** Steps that are faulty still. */
  readonly faulty: number;
}

/** The steps that are to be done: without those of stops that are left out. */
export function dueSteps(steps: readonly Step[], stops: readonly Stop[]): readonly Step[] {
  const leftOut = new Set<StopId>(stops.filter((stop) => stop.leftOut !== null).map(({ id }) => id));
  return leftOut.size === 0 ? steps : steps.filter(({ stopId }) => stopId === null || !leftOut.has(stopId));
}

/**
 * How a round stands by what was answered so far.
 *
 * @param only the steps that somebody has of it: other steps do not count, and stops without any of them are passed over.
 * Stops keep their numbers.
 */
export function roundOf(stops: readonly Stop[], steps: readonly Step[], only?: ReadonlySet<StepId>): RoundStanding {
  const asked = inForce(steps);
  const byStop = new Map<StopId, Step[]>();
  for (const step of steps) {
    if (step.stopId === null || only?.has(step.id) === false) continue;
    const there = byStop.get(step.stopId);
    if (there === undefined) byStop.set(step.stopId, [step]);
    else there.push(step);
  }
  const numbered = inWalkingOrder(stops).map((stop, index): StopStanding => {
    const there = byStop.get(stop.id) ?? [];
    const progress = progressAmong(there, asked);
    const remarks = there.filter(({ id }) => asked.has(id)).flatMap(remarkOn);
    return {
      stop,
      number: index + 1,
      progress,
      remarks,
      isDone: stop.leftOut !== null || progress.done === progress.of,
    };
  });
  const standings = only === undefined ? numbered : numbered.filter(({ stop }) => byStop.has(stop.id));
  return {
    stops: standings,
    next: standings.find(({ isDone }) => !isDone) ?? null,
    faulty: standings.reduce((sum, { remarks }) => sum + remarks.filter(isFaultyStill).length, 0),
  };
}

/** Whether a remark is about something that is faulty still. */
export function isFaultyStill({ faulty }: Remark): boolean {
  return faulty === 'faulty';
}

/** What is to be said of an answered step; nothing where all is well. */
function remarkOn(step: Step): Remark[] {
  const value = step.answer?.value ?? null;
  const faulty = faultyOf(step.question, value);
  const level = levelOfAnswer(step.question, value);
  return faulty === null && level === 'normal' ? [] : [{ step, faulty, level }];
}

import { asId, type PointId } from '@oilcan/core/kernel';
import { checkNewSteps, type AnswerTest, type NewStep, type StepQuestion } from '@oilcan/core/steps/steps';
import type { Sector } from '../mountain/mountain';
import { pointPlans } from '../mountain/points';

/**
 * A step as it is written down here. A text alone is to be ticked off; with `?` before it, it is looked at; `#point` is a number read at
 * that measuring point, and a meter where that is one.
 */
export type StepPlan =
  | string
  | {
      readonly says: string;
      readonly asks?: StepQuestion;
      /** What the step that it is part of must have been answered; always where left out. */
      readonly when?: AnswerTest;
      readonly parts?: readonly StepPlan[];
    };

/** Steps as they are given to a new work order or a procedure. */
export function newSteps(plans: readonly StepPlan[], idOf: Sector['idOf']): NewStep[] {
  const steps: NewStep[] = [];
  const write = (plan: StepPlan, under: number | null): void => {
    const { says, asks, when, parts = [] } = typeof plan === 'string' ? { says: plan } : plan;
    const { question, text } = asks === undefined ? readStep(says, idOf) : { question: asks, text: says };
    const index = steps.length;
    steps.push({ text, question, under, when: when === undefined || under === null ? null : { ...when, step: under } });
    for (const part of parts) write(part, index);
  };
  for (const plan of plans) write(plan, null);
  const checked = checkNewSteps(steps);
  if (!checked.ok) throw new Error(`The steps “${steps[0]?.text ?? ''}” …: ${checked.code}.`);
  return steps;
}

function readStep(says: string, idOf: Sector['idOf']): { readonly question: StepQuestion; readonly text: string } {
  if (says.startsWith('?')) return { question: { type: 'finding' }, text: says.slice(1) };
  if (!says.startsWith('#')) return { question: { type: 'tick' }, text: says };
  const point = pointPlans.find((plan) => `#${plan.key}` === says);
  if (point === undefined) throw new Error(`No measuring point is called ${says}.`);
  const pointId = asId<PointId>(idOf(point.key));
  if (point.isMeter === true) return { question: { type: 'meter', pointId }, text: point.name };
  const limits = { alarmLow: null, alertLow: null, alertHigh: null, alarmHigh: null, ...point.limits };
  return {
    question: { type: 'number', unit: point.unit, decimals: point.decimals, limits, pointId },
    text: point.name,
  };
}

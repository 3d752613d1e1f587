import { defineError, type ErrorValues } from '../../../kernel/errors/catalogue';

const step = (v: ErrorValues): string => `Step ${v['number']}`;

export const stepsErrors = {
  answer_of_wrong_kind: defineError(400, 'This step wants another kind of answer.'),
  left_as_found: defineError(400, 'Say how it was left where it was found faulty, and only there.'),
  option_unknown: defineError(400, 'Choose from the options of this step, each once.'),
  one_option_only: defineError(400, 'Only one of the options can be chosen.'),
  options_alike: defineError(400, 'Two options of a step have the same key.'),
  signature_no_drawing: defineError(400, 'This is not the drawing of a signature.'),
  signature_empty: defineError(400, 'Nothing was drawn. Sign in the field first.'),
  branch_calls_itself: defineError(400, (v) => `${step(v)} waits for its own answer. Let it wait for an earlier step.`),
  branch_waits_for_later: defineError(
    400,
    (v) => `${step(v)} waits for a step that comes after it. Let it wait for an earlier one.`,
  ),
  step_part_of_later: defineError(400, (v) => `${step(v)} is part of a step that does not stand before it.`),
  no_steps_given: defineError(400, 'Give at least one step.'),
  too_many_steps: defineError(409, (v) => `A work order has at most ${v['limit']} steps.`),
};

type StepsErrors = typeof stepsErrors;
declare module '../../../kernel/errors/catalogue' {
  interface ErrorCodes extends StepsErrors {}
}

import { defineError } from '../../../kernel/errors/catalogue';

export const hazardsErrors = {
  hazards_not_acknowledged: defineError(
    409,
    'Read and acknowledge the hazards first. They may have changed since you last did.',
  ),
  hazards_changed: defineError(409, 'The hazards have changed. Read them again and acknowledge them.'),
  was_done_before: defineError(
    409,
    (v) => `${v['number']} was raised as done already. What is still to be done becomes further work of it.`,
  ),
  too_many_hazards: defineError(409, (v) => `A work order holds at most ${v['limit']} hazards.`),
};

type HazardsErrors = typeof hazardsErrors;
declare module '../../../kernel/errors/catalogue' {
  interface ErrorCodes extends HazardsErrors {}
}

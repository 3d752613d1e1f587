import { defineError } from '../../../kernel/errors/catalogue';

export const kitListErrors = {
  kit_list_of_another: defineError(403, 'This kit list is not shared with you any more.'),
  kit_list_full: defineError(409, (v) => `A kit list holds at most ${v['limit']} lines.`),
};

type KitListErrors = typeof kitListErrors;
declare module '../../../kernel/errors/catalogue' {
  interface ErrorCodes extends KitListErrors {}
}

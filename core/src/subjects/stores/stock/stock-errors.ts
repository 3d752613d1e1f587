import { defineError } from '../../../kernel/errors/catalogue';

export const stockErrors = {
  quantity_not_positive: defineError(400, 'Give an amount above zero.'),
  quantity_not_whole: defineError(400, (v) => `This part is counted in whole ${v['unit']}.`),
  quantity_too_large: defineError(400, 'That is over a million. Check the amount.'),
  returned_more_than_taken: defineError(
    409,
    (v) => `Only ${v['taken']} ${v['unit']} of it were taken on this job. More cannot go back from here.`,
  ),
  fate_needs_bin: defineError(400, 'Say in which bin it is kept.'),
  serial_installed_elsewhere: defineError(
    409,
    (v) => `This serial number is in ${v['asset']} already. Check the number.`,
  ),
  /** Not raised any more: a phone may hold what was refused for it. */
  not_enough_stock: defineError(
    409,
    (v) => `Only ${v['onHand']} ${v['unit']} on hand in bin ${v['bin']}. Check the bin or take less.`,
  ),
};

type StockErrors = typeof stockErrors;
declare module '../../../kernel/errors/catalogue' {
  interface ErrorCodes extends StockErrors {}
}

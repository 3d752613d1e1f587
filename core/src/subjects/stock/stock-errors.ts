import { defineError } from '../../kernel/errors/catalogue';

export const stockErrors = {
  quantity_not_positive: defineError(400, 'Give an amount above zero.'),
  quantity_not_whole: defineError(400, (v) => `This part is counted in whole ${v['unit']}.`),
  not_enough_stock: defineError(
    409,
    (v) => `Only ${v['onHand']} ${v['unit']} on hand in bin ${v['bin']}. Check the bin or take less.`,
  ),
};

type StockErrors = typeof stockErrors;
declare module '../../kernel/errors/catalogue' {
  interface ErrorCodes extends StockErrors {}
}

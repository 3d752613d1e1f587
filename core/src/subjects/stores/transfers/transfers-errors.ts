import { defineError } from '../../../kernel/errors/catalogue';

export const transfersErrors = {
  transfer_same_store: defineError(400, 'Choose another store: this is where it comes from.'),
  transfer_sent: defineError(409, (v) => `${v['who']} sent it already.`),
  transfer_closed: defineError(409, (v) =>
    v['is'] === 'withdrawn'
      ? `${v['who']} took this back: it is not needed any more.`
      : `${v['who']} said that it cannot be sent. The transfer says why.`,
  ),
  transfer_not_sent: defineError(409, 'It was not sent yet.'),
  transfer_not_in_transit: defineError(409, (v) =>
    v['left'] === '0'
      ? `Nothing of it is on the way any more: ${v['who']} took it in or wrote it off.`
      : `Only ${v['left']} ${v['unit']} of it are on the way.`,
  ),
  move_same_bin: defineError(400, 'Choose another bin: it lies in this one.'),
  move_other_site: defineError(
    400,
    'That bin is on another site. Send it there, so that it is known while it is on the way.',
  ),
};

type TransfersErrors = typeof transfersErrors;
declare module '../../../kernel/errors/catalogue' {
  interface ErrorCodes extends TransfersErrors {}
}

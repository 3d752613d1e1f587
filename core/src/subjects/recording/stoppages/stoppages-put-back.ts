import type { PutBacksNamed } from '../../orders/work/entry-kinds';
import { endOnMachine } from './machine-condition';

/** A stoppage that never was does not hold its machine any more. */
export const stoppagesPutBacks: PutBacksNamed<'stoppage'> = {
  stoppage: (records, _work, { id, assetId }, context) =>
    endOnMachine(records, assetId, id, context.at).then(() => null),
};

import { operationOf } from '../../orders/work/entry-ids';
import type { PutBacksNamed } from '../../orders/work/entry-kinds';
import { settleAgain } from '../requests/settle';
import { moveStock } from './part-use';
import { revalueReturns } from './return-part';
import { putInAgain } from './serials';

/** What was never taken is in its bin; what never came out is in its machine. */
export const stockPutBacks: PutBacksNamed<'part' | 'removal'> = {
  part: async (records, work, { id, at, content }, context) => {
    const leaves = await revalueReturns(records, work, content.partId, context);
    if (!leaves.ok) return leaves;
    // It was never taken: that holds from when it was recorded on, so that a count made since stays true.
    await moveStock(records, work, content, content.quantity, 'correction', { ...context, at });
    await settleAgain(records, { workOrderId: work.id, entryId: id, content }, null, context.now);
    if (content.serial !== undefined) await records.remove('installations', `in-${operationOf(id)}`);
    return null;
  },
  removal: (records, work, { content }, context) => putInAgain(records, work, content, context).then(() => null),
};

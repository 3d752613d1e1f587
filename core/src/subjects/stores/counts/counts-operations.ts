import { asId, type BinId, type CountId, type PartId, type SiteId, type StoreId } from '../../../kernel/ids';
import {
  argsSchema,
  flagField,
  idField,
  optionalTextField,
  textField,
  wholeField,
} from '../../../kernel/schema/fields';
import {
  accepted,
  defineOperation,
  refuse,
  rowNamed,
  type OperationContext,
  type Result,
} from '../../../operations/operation';
import type { Records } from '../../../records/records';
import { emptyLevel } from '../stock/part-use';
import { postCounted } from '../stock/post-count';
import { findPartInBin } from '../stock/store-operations';
import type { Count } from './count';

const onCount = { countId: idField<CountId>() };
/** In thousandths: more than a million of anything is a slip of the finger. */
const MOST = 1e9;

/** Somebody counted a bin: it is kept as it was counted, and changes nothing until it is posted. */
const keep = defineOperation({
  label: 'this count',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'storekeeper', 'lead'],
  schema: argsSchema({
    partId: idField<PartId>(),
    binId: idField<BinId>(),
    quantity: wholeField().min(0, 'Count from zero up.').max(MOST, 'That is too much.'),
    /** What the books said on this device when it was counted. */
    books: wholeField(),
  }),
  reads: ({ partId, binId }) => [rowNamed('parts', partId), rowNamed('bins', binId)],
  correct: { fields: { quantity: 'quantity' }, keepsTime: true },
  apply: async (records, { partId, binId, quantity, books }, context) => {
    const found = await findPartInBin(records, { partId, binId }, quantity, context);
    if (!found.ok) return found;
    await records.put('counts', {
      id: asId<CountId>(context.operationId),
      siteId: found.value.siteId,
      storeId: found.value.storeId,
      partId,
      binId,
      quantity,
      books,
      by: context.person.id,
      at: context.at,
      settled: null,
      endedAt: null,
    });
    return accepted;
  },
});

async function findCount(records: Records, id: CountId, context: OperationContext): Promise<Result<Count>> {
  const count = await records.get('counts', id);
  if (count === undefined || !context.person.siteIds.includes(count.siteId))
    return refuse('not_found', { what: 'count' }, 'countId');
  return { ok: true, value: count };
}

async function settled(records: Records, { settled: before }: Count) {
  const who = before === null ? '' : ((await records.get('people', before.by))?.name ?? 'Somebody');
  return refuse('count_settled', { is: before?.is ?? '', who }, 'countId');
}

/** The books take what was counted, as of when it was counted; what moved since stays moved. */
const post = defineOperation({
  label: 'posting a count',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['storekeeper', 'lead'],
  schema: argsSchema({ ...onCount, reason: optionalTextField() }),
  reads: ({ countId }) => [rowNamed('counts', countId)],
  correct: { fields: { reason: 'text' }, keepsTime: true },
  apply: async (records, { countId, reason }, context) => {
    const found = await findCount(records, countId, context);
    if (!found.ok) return found;
    const count = found.value;
    // Another who may had posted it: that is what was wanted.
    if (count.settled?.is === 'dismissed') return settled(records, count);
    if (count.settled !== null) return accepted;
    const empty = await emptyLevel(records, count);
    if (empty === null) return refuse('not_found', { what: 'bin' }, 'countId');
    const variance = await postCounted(records, count, empty, context);
    const is = variance === null ? 'overtaken' : 'posted';
    const { person, at, now } = context;
    await records.put('counts', { ...count, settled: { is, by: person.id, at, variance, reason }, endedAt: now });
    return accepted;
  },
});

/** The count is not believed: the books stay as they are. */
const dismiss = defineOperation({
  label: 'setting a count aside',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['storekeeper', 'lead'],
  schema: argsSchema({ ...onCount, reason: textField(200) }),
  reads: ({ countId }) => [rowNamed('counts', countId)],
  correct: { fields: { reason: 'text' }, keepsTime: true },
  apply: async (records, { countId, reason }, context) => {
    const found = await findCount(records, countId, context);
    if (!found.ok) return found;
    const count = found.value;
    if (count.settled?.is === 'dismissed') return accepted;
    if (count.settled !== null) return settled(records, count);
    const { person, at, now } = context;
    const aside = { is: 'dismissed' as const, by: person.id, at, variance: null, reason };
    await records.put('counts', { ...count, settled: aside, endedAt: now });
    return accepted;
  },
});

/** Whether who counts in a store sees what the books say. */
const countBlind = defineOperation({
  label: 'how a store is counted',
  inLog: 'forLeads',
  governs: 'site',
  roles: ['lead'],
  schema: argsSchema({ siteId: idField<SiteId>(), storeId: idField<StoreId>(), isBlind: flagField() }),
  reads: ({ storeId }) => [rowNamed('stores', storeId)],
  correct: { fields: {}, keepsTime: false },
  apply: async (records, { siteId, storeId, isBlind }) => {
    const store = await records.get('stores', storeId);
    if (store?.siteId !== siteId) return refuse('not_found', { what: 'store' }, 'storeId');
    await records.put('stores', { ...store, isCountedBlind: isBlind });
    return accepted;
  },
});

export const countsOperations = {
  'count.keep': keep,
  'count.post': post,
  'count.dismiss': dismiss,
  'store.count-blind': countBlind,
};

import type { PersonId, WorkOrderId } from '../../../kernel/ids';
import type { KitList } from './kit-list';
import type { Records } from '../../../records/records';
import { argsSchema, flagField, idField, idListField, keyField } from '../../../kernel/schema/fields';
import { accepted, defineOperation, refuse, rowNamed } from '../../../operations/operation';

const MOST_JOBS = 100;
const MOST_LINES = 1_000;
const roles = ['technician', 'lead', 'storekeeper'] as const;

async function listOf(records: Records, id: PersonId): Promise<KitList> {
  return (await records.get('kitLists', id)) ?? { id, workOrderIds: [], sharedWith: [], inBag: {} };
}

/** For which jobs the person takes parts and tools along. An empty bag begins with a new choice of none. */
const chooseKitList = defineOperation({
  label: 'the choice of jobs for the kit list',
  inLog: 'private',
  governs: 'nothing',
  roles,
  schema: argsSchema({
    workOrderIds: idListField<WorkOrderId>(MOST_JOBS, 'Name the work orders.'),
  }),
  reads: (_named, by) => [rowNamed('kitLists', by)],
  correct: { fields: {}, keepsTime: true },
  apply: async (records, args, context) => {
    const list = await listOf(records, context.person.id);
    const workOrderIds = [...new Set(args.workOrderIds)];
    await records.put('kitLists', { ...list, workOrderIds, inBag: workOrderIds.length === 0 ? {} : list.inBag });
    return accepted;
  },
});

/** A mate sees the list too and ticks what is in the bag, or does not any more. */
const shareKitList = defineOperation({
  label: 'sharing the kit list',
  inLog: 'private',
  governs: 'nothing',
  roles,
  schema: argsSchema({ personId: idField<PersonId>(), isShared: flagField() }),
  reads: ({ personId }, by) => [rowNamed('people', personId), rowNamed('kitLists', by)],
  correct: { fields: {}, keepsTime: true },
  apply: async (records, { personId, isShared }, context) => {
    const mate = await records.get('people', personId);
    const isOfMySites = mate?.siteIds.some((id) => context.person.siteIds.includes(id)) === true;
    // Somebody who works elsewhere by now can still be taken off the list.
    if (isShared && !isOfMySites) return refuse('not_found', { what: 'person' }, 'personId');
    const list = await listOf(records, context.person.id);
    const others = list.sharedWith.filter((each) => each !== personId);
    await records.put('kitLists', { ...list, sharedWith: isShared ? [...others, personId] : others });
    return accepted;
  },
});

/** A line is in the bag, or out of it again. */
const tickKitLine = defineOperation({
  label: 'what is in the bag',
  inLog: 'private',
  governs: 'nothing',
  roles,
  schema: argsSchema({
    ownerId: idField<PersonId>(),
    line: keyField('Name the line.'),
    isIn: flagField(),
  }),
  reads: ({ ownerId }) => [rowNamed('kitLists', ownerId)],
  correct: { fields: {}, keepsTime: true },
  apply: async (records, { ownerId, line, isIn }, context) => {
    const list = await listOf(records, ownerId);
    const me = context.person.id;
    if (ownerId !== me && !list.sharedWith.includes(me)) return refuse('kit_list_of_another');
    const { [line]: before, ...others } = list.inBag;
    if (isIn && before === undefined && Object.keys(others).length >= MOST_LINES) {
      return refuse('kit_list_full', { limit: MOST_LINES });
    }
    const inBag = isIn ? { ...others, [line]: before ?? { by: me, at: context.at } } : others;
    await records.put('kitLists', { ...list, inBag });
    return accepted;
  },
});

export const kitListOperations = {
  'kit-list.choose': chooseKitList,
  'kit-list.share': shareKitList,
  'kit-list.tick': tickKitLine,
};

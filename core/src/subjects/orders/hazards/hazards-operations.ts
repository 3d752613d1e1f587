import type { WorkOrderId } from '../../../kernel/ids';
import { madeKnownBy } from '../../../operations/known';
import { toMillis, type Instant } from '../../../kernel/time/instant';
import { argsSchema, idField, idListField, LONGEST_LINE, textField } from '../../../kernel/schema/fields';
import { accepted, defineOperation, refuse } from '../../../operations/operation';
import { renaming } from '../../../records/upgrade';
import { findOpenWork, newEntry } from '../work/guards';
import { acknowledgementId, coversHazards, hazardsKnownTo, type Acknowledgement } from './acknowledgement';
import { readsToBegin } from './begin-work';

/** So many are noticed and written down on one work order; the register may have more. */
const MOST_HAZARDS = 100;
const MOST_READ = 1_000;

/** So soon after it read the same, a phone tells the same reading once more. */
const SAME_PRESS_MILLISECONDS = 60_000;

function isSamePress(before: Acknowledgement, hazardIds: readonly string[], at: Instant): boolean {
  const isSoon = Math.abs(toMillis(at) - toMillis(before.at)) < SAME_PRESS_MILLISECONDS;
  return (
    isSoon && before.hazardIds.length === hazardIds.length && hazardIds.every((id) => before.hazardIds.includes(id))
  );
}

const onWork = { workOrderId: idField<WorkOrderId>() };

/** The person has read these hazards. Must name every hazard of which the person could know, and no other. */
const acknowledgeHazards = defineOperation({
  label: 'acknowledging the hazards',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema({
    ...onWork,
    hazardIds: idListField(MOST_READ, 'Name the hazards.'),
  }),
  reads: ({ workOrderId }, by) => readsToBegin(workOrderId, by),
  correct: { fields: {}, keepsTime: false },
  apply: async (records, args, context) => {
    const found = await findOpenWork(records, args.workOrderId, context);
    if (!found.ok) return found;
    const work = found.value;
    const named = new Set<string>(args.hazardIds);
    const isComplete = hazardsKnownTo(work.hazards, context).every(({ id }) => named.has(id));
    const ofWork = new Set(work.hazards.map(({ id }) => id));
    if (!isComplete || [...named].some((id) => !ofWork.has(id))) return refuse('hazards_changed', {}, 'hazardIds');
    const hazardIds: string[] = [...args.hazardIds];
    const id = acknowledgementId(work.id, context.person.id);
    const before = await records.get('acknowledgements', id);
    if (before !== undefined && isSamePress(before, hazardIds, context.at)) return accepted;
    await records.put('acknowledgements', {
      id,
      siteId: work.siteId,
      workOrderId: work.id,
      personId: context.person.id,
      hazardIds,
      at: context.at,
    });
    await records.put('entries', newEntry(work, { kind: 'acknowledgement', hazardIds }, context));
    return accepted;
  },
});

/** Something dangerous was noticed: everybody else reads and acknowledges the list again before going on. */
const addHazard = defineOperation({
  label: 'this hazard',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema({ ...onWork, hazard: textField(LONGEST_LINE), control: textField(LONGEST_LINE) }),
  reads: ({ workOrderId }, by) => readsToBegin(workOrderId, by),
  correct: { fields: { hazard: 'line', control: 'line' }, keepsTime: false },
  upgrades: [{ to: 5, change: renaming({ precaution: 'control' }) }],
  apply: async (records, args, context) => {
    const found = await findOpenWork(records, args.workOrderId, context);
    if (!found.ok) return found;
    const work = found.value;
    if (work.hazards.length >= MOST_HAZARDS) return refuse('too_many_hazards', { limit: MOST_HAZARDS });
    const id = acknowledgementId(work.id, context.person.id);
    const acknowledgement = await records.get('acknowledgements', id);
    const hadReadAll = coversHazards(acknowledgement, work.hazards);
    const hazard = { id: context.operationId, hazard: args.hazard, control: args.control };
    const { since: addedAt, ...known } = madeKnownBy(context);
    const hazards = [...work.hazards, { ...hazard, addedAt, ...known }];
    await records.put('workOrders', { ...work, hazards });
    await records.put('entries', newEntry(work, { kind: 'hazard', ...hazard }, context));
    if (!hadReadAll) return accepted;
    const hazardIds = hazards.map((each) => each.id);
    await records.put('acknowledgements', {
      id,
      siteId: work.siteId,
      workOrderId: work.id,
      personId: context.person.id,
      hazardIds,
      at: context.at,
    });
    return accepted;
  },
});

export const hazardsOperations = {
  'work.acknowledge-hazards': acknowledgeHazards,
  'work.add-hazard': addHazard,
};

import { asId, type AssetId, type PersonId, type ShareId, type StepId, type WorkOrderId } from '../../../kernel/ids';
import { madeKnownBy } from '../../../operations/known';
import {
  argsSchema,
  idField,
  idListField,
  optionalIdField,
  optionalKeyField,
  wholeField,
} from '../../../kernel/schema/fields';
import { hasRole } from '../../../operations/actor';
import {
  accepted,
  defineOperation,
  refuse,
  rowNamed,
  type Result,
  type OperationContext,
  type Outcome,
  type Refusal,
} from '../../../operations/operation';
import type { Records } from '../../../records/records';
import { SETTINGS_ID } from '../../orders/settings/settings';
import { everybodyBefore, findAssignees } from '../../orders/work/give-work';
import { findOpenWork, newEntry } from '../../orders/work/guards';
import type { WorkOrder } from '../../orders/work/work-order';
import type { Share } from './share';
import type { ShareContent } from './shares-entries';

/** A year of one person, in minutes: no share is planned longer. */
const LONGEST_PLANNED = 365 * 24 * 60;
const MOST_STEPS = 1_000;

/** What a share is about; a trade or machine that is left out is the holder's, and the job's. */
const aboutShare = {
  tradeId: optionalKeyField(),
  assetId: optionalIdField<AssetId>(),
  plannedMinutes: wholeField().min(0).max(LONGEST_PLANNED),
  stepIds: idListField<StepId>(MOST_STEPS, 'Choose the steps.'),
};
const onShare = { workOrderId: idField<WorkOrderId>(), shareId: idField<ShareId>() };

/** Makes steps somebody's own. A technician makes shares of their own, a lead anybody's. Steps in another share stay there. */
const makeShare = defineOperation({
  label: 'this share',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema({ workOrderId: idField<WorkOrderId>(), personId: idField<PersonId>(), ...aboutShare }),
  reads: ({ workOrderId, personId, assetId }) => [
    rowNamed('workOrders', workOrderId),
    rowNamed('people', personId),
    rowNamed('assets', assetId),
  ],
  correct: { fields: {}, keepsTime: true },
  apply: async (records, args, context) => {
    const found = await findOpenWork(records, args.workOrderId, context);
    if (!found.ok) return found;
    const work = found.value;
    if (!isTheirs(args.personId, context)) return refuse('share_of_another', {}, 'personId');
    const holder = await findAssignees(records, work.siteId, [args.personId], null);
    if (!holder.ok) return { ...holder, field: 'personId' };
    const about = await readAbout(records, work, null, args);
    if (!about.ok) return about;
    const tradeId = args.tradeId ?? (await records.get('people', args.personId))?.tradeId ?? work.tradeId;
    const share: Share = {
      id: asId<ShareId>(context.operationId),
      siteId: work.siteId,
      workOrderId: work.id,
      personId: args.personId,
      earlier: [],
      tradeId,
      assetId: args.assetId ?? work.assetId,
      plannedMinutes: args.plannedMinutes,
      stepIds: about.value,
      madeBy: context.person.id,
      madeAt: context.at,
    };
    await records.put('shares', share);
    return noted(records, work, share, 'made', context);
  },
});

/** Other steps, trade, machine or planned time of a share. */
const changeShare = defineOperation({
  label: 'the changed share',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema({ ...onShare, ...aboutShare }),
  reads: ({ workOrderId, shareId, assetId }) => [
    rowNamed('workOrders', workOrderId),
    rowNamed('shares', shareId),
    rowNamed('assets', assetId),
  ],
  correct: { fields: {}, keepsTime: false },
  apply: async (records, args, context) => {
    const found = await findShare(records, args, context);
    if (!found.ok) return found;
    const { work, share } = found;
    const about = await readAbout(records, work, share.id, args);
    if (!about.ok) return about;
    const { plannedMinutes, tradeId, assetId } = args;
    const changed = {
      ...share,
      stepIds: about.value,
      plannedMinutes,
      tradeId: tradeId ?? share.tradeId,
      assetId: assetId ?? share.assetId,
    };
    await records.put('shares', changed);
    return noted(records, work, changed, 'changed', context);
  },
});

/** A share becomes somebody else's, with the work that it is of. */
const passOnShare = defineOperation({
  label: 'passing on this share',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema({ ...onShare, personId: idField<PersonId>() }),
  reads: ({ workOrderId, shareId, personId }) => [
    rowNamed('workOrders', workOrderId),
    rowNamed('shares', shareId),
    rowNamed('people', personId),
  ],
  correct: { fields: {}, keepsTime: false },
  apply: async (records, args, context) => {
    const found = await findShare(records, args, context);
    if (!found.ok) return found;
    const { work, share } = found;
    if (share.personId === args.personId) return accepted;
    const holder = await findAssignees(records, work.siteId, [args.personId], null);
    if (!holder.ok) return { ...holder, field: 'personId' };
    const earlier = [...share.earlier, { personId: share.personId, until: context.at }];
    const passedOn = { ...share, personId: args.personId, earlier };
    await records.put('shares', passedOn);
    return noted(records, work, passedOn, 'passedOn', context);
  },
});

/** The steps of a share are nobody's own any more. What was answered and recorded stays. */
const dissolveShare = defineOperation({
  label: 'dissolving this share',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema(onShare),
  reads: ({ workOrderId, shareId }) => [rowNamed('workOrders', workOrderId), rowNamed('shares', shareId)],
  correct: { fields: {}, keepsTime: false },
  apply: async (records, args, context) => {
    const found = await findShare(records, args, context);
    if (!found.ok) return found;
    await records.remove('shares', found.share.id);
    return noted(records, found.work, { ...found.share, stepIds: [] }, 'dissolved', context);
  },
});

/** Whether a share of this person may be arranged by whoever asks: it is their own, or they are a lead. */
function isTheirs(personId: PersonId, { person }: OperationContext): boolean {
  return person.id === personId || hasRole(person, ['lead']);
}

interface FoundShare {
  readonly ok: true;
  readonly work: WorkOrder;
  readonly share: Share;
}

async function findShare(
  records: Records,
  { workOrderId, shareId }: { readonly workOrderId: WorkOrderId; readonly shareId: ShareId },
  context: OperationContext,
): Promise<FoundShare | Refusal> {
  const found = await findOpenWork(records, workOrderId, context);
  if (!found.ok) return found;
  const share = await records.get('shares', shareId);
  if (share?.workOrderId !== workOrderId) return refuse('not_found', { what: 'share' }, 'shareId');
  if (!isTheirs(share.personId, context)) return refuse('share_of_another', {}, 'shareId');
  return { ok: true, work: found.value, share };
}

interface About {
  readonly tradeId: string | null;
  readonly assetId: AssetId | null;
  readonly stepIds: readonly StepId[];
}

/** Whether what a share names is there; gives those of the steps that are in no other share. */
async function readAbout(
  records: Records,
  work: WorkOrder,
  shareId: ShareId | null,
  { tradeId, assetId, stepIds }: About,
): Promise<Result<StepId[]>> {
  if (stepIds.length === 0) return refuse('no_steps_given', {}, 'stepIds');
  const trades = (await records.get('settings', SETTINGS_ID))?.trades ?? [];
  if (tradeId !== null && !trades.some(({ id }) => id === tradeId))
    return refuse('not_found', { what: 'trade' }, 'tradeId');
  if (assetId !== null && (await records.get('assets', assetId))?.siteId !== work.siteId) {
    return refuse('not_found', { what: 'machine' }, 'assetId');
  }
  const ofWork = new Set((await records.list('steps', 'workOrder', work.id)).map(({ id }) => id));
  if (!stepIds.every((id) => ofWork.has(id))) return refuse('not_found', { what: 'step' }, 'stepIds');
  const others = (await records.list('shares', 'workOrder', work.id)).filter(({ id }) => id !== shareId);
  const taken = new Set(others.flatMap((other) => other.stepIds));
  const free = [...new Set(stepIds)].filter((id) => !taken.has(id));
  return free.length === 0 ? refuse('share_steps_taken', {}, 'stepIds') : { ok: true, value: free };
}

/**
 * Puts what became of a share into the record, and on the work order for whom it is through its shares. Who has none any more
 * may still record what they did before they could know.
 */
async function noted(
  records: Records,
  work: WorkOrder,
  share: Share,
  act: ShareContent['act'],
  context: OperationContext,
): Promise<Outcome> {
  const shares = await records.list('shares', 'workOrder', work.id);
  const sharedWith = [...new Set(shares.map(({ personId }) => personId))].sort();
  const before = work.sharedWith ?? [];
  if (sharedWith.length !== before.length || sharedWith.some((id, index) => id !== before[index])) {
    const isSomebodyOut = before.some((id) => !sharedWith.includes(id));
    const previousAssignees = isSomebodyOut
      ? { ...(await everybodyBefore(records, work)), ...madeKnownBy(context) }
      : work.previousAssignees;
    await records.put('workOrders', { ...work, sharedWith, previousAssignees });
  }
  const content: ShareContent = {
    kind: 'share',
    shareId: share.id,
    act,
    personId: share.personId,
    steps: share.stepIds.length,
  };
  await records.put('entries', { ...newEntry(work, content, context), assetId: share.assetId });
  return accepted;
}

export const sharesOperations = {
  'share.make': makeShare,
  'share.change': changeShare,
  'share.pass-on': passOnShare,
  'share.dissolve': dissolveShare,
};

import type { AssetId, EntryId, WorkOrderId } from '../../../kernel/ids';
import {
  argsSchema,
  flagField,
  idField,
  instantField,
  optionalIdField,
  optionalInstantField,
} from '../../../kernel/schema/fields';
import { parseInstant, type Instant } from '../../../kernel/time/instant';
import { accepted, defineOperation, refuse, rowNamed, type OperationContext } from '../../../operations/operation';
import type { Records } from '../../../records/records';
import { findAmendable, onEntry, putAmendment, readsToAmend } from '../../orders/work/amendment';
import type { Entry } from '../../orders/work/entries';
import { entryBeside } from '../../orders/work/entry-ids';
import { findOpenWork, newEntry } from '../../orders/work/guards';
import type { WorkOrder } from '../../orders/work/work-order';
import { endOnMachine, withStoppages } from './machine-condition';
import { checkTimes, howStopped, putStoppage } from './put-stoppage';

/** A time in which a machine stood still or ran reduced; while it lasts, the machine is marked so everywhere. */
const addStoppage = defineOperation({
  label: 'this stoppage',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema({
    workOrderId: idField<WorkOrderId>(),
    assetId: optionalIdField<AssetId>(),
    ...howStopped,
    to: optionalInstantField(),
    isPlanned: flagField(),
  }),
  reads: ({ workOrderId, assetId }) => [rowNamed('workOrders', workOrderId), rowNamed('assets', assetId)],
  correct: { fields: {}, keepsTime: true },
  apply: async (records, args, context) => {
    const found = await findOpenWork(records, args.workOrderId, context);
    if (!found.ok) return found;
    const work = found.value;
    const asset = await records.get('assets', args.assetId ?? work.assetId);
    if (asset?.siteId !== work.siteId) return refuse('not_found', { what: 'machine' }, 'assetId');
    const { extent, lostPercent, isPlanned } = args;
    const to = args.to === null ? null : parseInstant(args.to);
    const stoppage = { from: parseInstant(args.from), to, extent, lostPercent, isPlanned };
    return putStoppage(records, work, asset, stoppage, context.entryId, context);
  },
});

/** A stoppage has ended: whoever has the work may say so, whoever said that it began. Of two ends the earlier stands. */
const endStoppage = defineOperation({
  label: 'the end of this stoppage',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema({ ...onEntry, to: instantField() }),
  reads: ({ workOrderId, entryId }) => readsToAmend(workOrderId, entryId),
  correct: { fields: {}, keepsTime: true },
  apply: async (records, args, context) => {
    const found = await findOpenWork(records, args.workOrderId, context);
    if (!found.ok) return found;
    const entry = await records.get('entries', args.entryId);
    if (entry?.workOrderId !== args.workOrderId || entry.content.kind !== 'stoppage') {
      return refuse('not_found', { what: 'stoppage' }, 'entryId');
    }
    const last = await lastVersion(records, entry);
    if (last.content.kind !== 'stoppage') return refuse('not_found', { what: 'stoppage' }, 'entryId');
    const to = parseInstant(args.to);
    const possible = checkTimes(last.content.from, to, context);
    if (!possible.ok) return possible;
    // Two saw it end: it was over when the first of them saw it.
    if (last.content.to !== null && last.content.to <= to) return accepted;
    await end(records, found.value, last, to, context, context.entryId);
    await endOnMachine(records, entry.assetId, entry.id, to);
    return accepted;
  },
});

/** A machine runs again: every stoppage of it that lasts has ended, on whatever work order it was recorded. */
const runAgain = defineOperation({
  label: 'the machine that runs again',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema({ assetId: idField<AssetId>(), at: optionalInstantField() }),
  reads: ({ assetId }) => [rowNamed('assets', assetId)],
  correct: { fields: {}, keepsTime: true },
  apply: async (records, args, context) => {
    const asset = await records.get('assets', args.assetId);
    if (asset === undefined || !context.person.siteIds.includes(asset.siteId)) {
      return refuse('not_found', { what: 'machine' }, 'assetId');
    }
    const at = args.at === null ? context.at : parseInstant(args.at);
    const open = asset.openStoppages ?? [];
    if (asset.condition === 'running' && open.length === 0) return accepted;
    const possible = checkTimes(
      open
        .map(({ from }) => from)
        .sort()
        .at(-1) ?? at,
      at,
      context,
    );
    if (!possible.ok) return possible;
    for (const [index, { entryId, workOrderId }] of open.entries()) {
      const entry = await records.get('entries', entryId);
      const work = await records.get('workOrders', workOrderId);
      // A phone may not have what others recorded; the server does, and ends it.
      if (entry === undefined || work === undefined) continue;
      const amended = await records.list('entries', 'amends', entryId);
      if (amended.length === 0)
        await end(records, work, entry, at, context, entryBeside(context.entryId, `ended-${index + 1}`));
    }
    await records.put('assets', withStoppages(asset, [], at));
    return accepted;
  },
});

/** What stands of an entry now. */
async function lastVersion(records: Records, entry: Entry): Promise<Entry> {
  const [amendment] = await records.list('entries', 'amends', entry.id);
  return amendment === undefined ? entry : lastVersion(records, amendment);
}

async function end(
  records: Records,
  work: WorkOrder,
  entry: Entry,
  to: Instant,
  context: OperationContext,
  id: EntryId,
): Promise<void> {
  if (entry.content.kind !== 'stoppage') return;
  const ended = newEntry(work, { ...entry.content, to }, context);
  await records.put('entries', { ...ended, id, assetId: entry.assetId, amends: entry.id });
}

/** The times of a stoppage that has ended were others. One that lasts is ended first. */
const amendStoppage = defineOperation({
  label: 'the amended stoppage',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema({ ...onEntry, from: instantField(), to: instantField() }),
  reads: ({ workOrderId, entryId }) => readsToAmend(workOrderId, entryId),
  correct: { fields: {}, keepsTime: true },
  apply: async (records, args, context) => {
    const found = await findAmendable(records, args, context);
    if (!found.ok) return found;
    const { content } = found.entry;
    if (content.kind !== 'stoppage' || content.to === null) return refuse('entry_not_amendable', {}, 'entryId');
    const [from, to] = [parseInstant(args.from), parseInstant(args.to)];
    const possible = checkTimes(from, to, context);
    if (!possible.ok) return possible;
    await putAmendment(records, found, { ...content, from, to }, context);
    return accepted;
  },
});

export const stoppagesOperations = {
  'stoppage.add': addStoppage,
  'stoppage.end': endStoppage,
  'stoppage.amend': amendStoppage,
  'asset.run-again': runAgain,
};

import type { BinId, EntryId, WorkOrderId } from '../ids/ids';
import { hasRole } from '../people/people';
import type { Records } from '../records/records';
import { parseInstant } from '../time/instant';
import { timeTypes, type Entry, type EntryContent, type EntryKind } from '../work/entries';
import type { WorkOrder } from '../work/work-order';
import { argsSchema, choiceField, idField, instantField, LONGEST_LINE, textField, wholeField } from './fields';
import { findOpenWork, newEntry } from './guards';
import { checkLabor, laborContent } from './labor-operations';
import { accepted, defineOperation, refuse, type OperationContext, type Refusal } from './operation';
import { forgetReading, moveStock, partContent } from './record-operations';

const onEntry = { workOrderId: idField<WorkOrderId>(), entryId: idField<EntryId>() };

/** A time was wrong: another start, length or type stands in its place, paid by the rate of then. */
export const amendLabor = defineOperation({
  label: 'the amended time',
  roles: ['technician', 'lead'],
  schema: argsSchema({
    ...onEntry,
    startedAt: instantField(),
    minutes: wholeField(),
    timeType: choiceField(timeTypes),
  }),
  apply: async (records, args, context) => {
    const found = await findAmendable(records, args, context);
    if (!found.ok) return found;
    if (found.entry.content.kind !== 'labor') return refuse('entry_not_amendable', {}, 'entryId');
    const { personId, rate } = found.entry.content;
    const input = { personId, startedAt: parseInstant(args.startedAt), minutes: args.minutes, timeType: args.timeType };
    const possible = checkLabor(input, context);
    if (!possible.ok) return possible;
    const content = await laborContent(records, found.work, input, rate);
    if (!content.ok) return content;
    await putAmendment(records, found, content.value, context);
    return accepted;
  },
});

/** The amount of a part was wrong: the difference goes back into the bin or out of it, at the price of then. */
export const amendPart = defineOperation({
  label: 'the amended amount',
  roles: ['technician', 'lead'],
  schema: argsSchema({ ...onEntry, quantity: wholeField() }),
  apply: async (records, args, context) => {
    const found = await findAmendable(records, args, context);
    if (!found.ok) return found;
    const before = found.entry.content;
    if (before.kind !== 'part') return refuse('entry_not_amendable', {}, 'entryId');
    const content = await partContent(records, { ...before, quantity: args.quantity }, context, before);
    if (!content.ok) return content;
    await putAmendment(records, found, content.value, context);
    await moveStock(records, found.work, before, before.quantity - args.quantity, 'correction', context);
    return accepted;
  },
});

export const amendNote = defineOperation({
  label: 'the amended note',
  roles: ['technician', 'lead', 'storekeeper'],
  schema: argsSchema({ ...onEntry, text: textField() }),
  apply: async (records, args, context) => {
    const found = await findAmendable(records, args, context);
    if (!found.ok) return found;
    if (found.entry.content.kind !== 'note') return refuse('entry_not_amendable', {}, 'entryId');
    await putAmendment(records, found, { kind: 'note', text: args.text }, context);
    return accepted;
  },
});

const withdrawable: readonly EntryKind[] = ['labor', 'part', 'reading', 'note', 'photo'];

/** An entry should not be there: it is taken back, and stays readable. A part goes back into its bin. */
export const withdrawEntry = defineOperation({
  label: 'taking this back',
  roles: ['technician', 'lead', 'storekeeper'],
  schema: argsSchema({ ...onEntry, reason: textField(LONGEST_LINE) }),
  apply: async (records, args, context) => {
    const found = await findAmendable(records, args, context);
    if (!found.ok) return found;
    const { content } = found.entry;
    if (!withdrawable.includes(content.kind)) return refuse('entry_not_amendable', {}, 'entryId');
    await putAmendment(records, found, { kind: 'withdrawal', reason: args.reason }, context);
    if (content.kind === 'part') {
      const where: { partId: typeof content.partId; binId: BinId } = content;
      await moveStock(records, found.work, where, content.quantity, 'return', context);
    }
    if (content.kind === 'reading') await forgetReading(records, content.pointId, found.entry.at);
    return accepted;
  },
});

interface Amendable {
  readonly ok: true;
  readonly work: WorkOrder;
  readonly entry: Entry;
}

async function findAmendable(
  records: Records,
  args: { readonly workOrderId: WorkOrderId; readonly entryId: EntryId },
  context: OperationContext,
): Promise<Amendable | Refusal> {
  const found = await findOpenWork(records, args.workOrderId, context);
  if (!found.ok) return found;
  const entry = await records.get('entries', args.entryId);
  if (entry === undefined || entry.workOrderId !== args.workOrderId) {
    return refuse('not_found', { what: 'entry' }, 'entryId');
  }
  if (entry.by !== context.person.id && !hasRole(context.person, ['lead'])) {
    return refuse('entry_of_another', {}, 'entryId');
  }
  const amendments = await records.list('entries', 'amends', entry.id);
  if (amendments.length > 0) return refuse('entry_amended_already', {}, 'entryId');
  return { ok: true, work: found.value, entry };
}

async function putAmendment(
  records: Records,
  found: Amendable,
  content: EntryContent,
  context: OperationContext,
): Promise<void> {
  const entry = newEntry(found.work, content, context);
  await records.put('entries', { ...entry, assetId: found.entry.assetId, amends: found.entry.id });
}

import type { BinId, PartId, WorkOrderId } from '../../../kernel/ids';
import type { Thousandths } from '../../../kernel/quantity/quantity';
import { argsSchema, idField, textField, textFieldIfAny, wholeField } from '../../../kernel/schema/fields';
import { accepted, defineOperation, rowNamed } from '../../../operations/operation';
import { findOpenWork, newEntry } from '../../orders/work/guards';
import type { KitPart } from '../../orders/work/work-order';
import { plannedAmount } from './kit';
import { amountFromBin } from './part-use';

/** A part was put among those that a job needs, another amount of it was planned, or it was left out. */
export interface KitContent {
  readonly kind: 'kit';
  readonly partId: PartId;
  readonly binId: BinId;
  /** What was planned before, in the unit in which it was planned; null for nothing. */
  readonly before: { readonly quantity: Thousandths; readonly unit: string | null } | null;
  /** What is planned now, in the part's own unit; null where it was left out. */
  readonly after: Thousandths | null;
  /** Why; empty where nobody said. */
  readonly reason: string;
}

/** The lines of a kit that are a part from a bin: several only where they were planned so. */
const isLine =
  ({ partId, binId }: { readonly partId: PartId; readonly binId: BinId }) =>
  (line: KitPart): boolean =>
    line.partId === partId && line.binId === binId;

/** The kit with one line in the place of all that are the same part from the same bin, or without them for null. */
function withLine(kit: readonly KitPart[], line: KitPart | Pick<KitPart, 'partId' | 'binId'>): KitPart[] {
  const isSame = isLine(line);
  const first = kit.findIndex(isSame);
  if (!('quantity' in line)) return kit.filter((each) => !isSame(each));
  if (first === -1) return [...kit, line];
  return kit.flatMap((each, index) => (index === first ? [line] : isSame(each) ? [] : [each]));
}

const schemaOfLine = { workOrderId: idField<WorkOrderId>(), partId: idField<PartId>(), binId: idField<BinId>() };

/**
 * A part is planned for a job, or another amount of it: what is told is how much the job needs altogether, so that it means the same
 * whatever was planned meanwhile, and however often it is told.
 */
export const planPart = defineOperation({
  label: 'this planned part',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema({ ...schemaOfLine, quantity: wholeField(), reason: textFieldIfAny() }),
  reads: ({ workOrderId, partId, binId }) => [
    rowNamed('workOrders', workOrderId),
    rowNamed('parts', partId),
    rowNamed('bins', binId),
  ],
  correct: { fields: { quantity: 'quantity' }, keepsTime: false },
  apply: async (records, { workOrderId, partId, binId, quantity, reason = '' }, context) => {
    const found = await findOpenWork(records, workOrderId, context);
    if (!found.ok) return found;
    const possible = await amountFromBin(records, { partId, binId, quantity }, context);
    if (!possible.ok) return possible;
    const { part } = possible.value;
    const work = found.value;
    const before = plannedAmount(work.kit.filter(isLine({ partId, binId })), part);
    if (before?.unit === part.unit && before.quantity === quantity) return accepted;
    await records.put('workOrders', { ...work, kit: withLine(work.kit, { partId, binId, quantity, unit: null }) });
    const content: KitContent = { kind: 'kit', partId, binId, before, after: quantity, reason };
    await records.put('entries', newEntry(work, content, context));
    return accepted;
  },
});

/** A planned part turns out not to be needed. What was taken of it stays taken. */
export const leaveOutPart = defineOperation({
  label: 'leaving out this part',
  inLog: 'forLeads',
  governs: 'nothing',
  roles: ['technician', 'lead'],
  schema: argsSchema({ ...schemaOfLine, reason: textField(200) }),
  reads: ({ workOrderId, partId }) => [rowNamed('workOrders', workOrderId), rowNamed('parts', partId)],
  correct: { fields: { reason: 'text' }, keepsTime: false },
  apply: async (records, { workOrderId, partId, binId, reason }, context) => {
    const found = await findOpenWork(records, workOrderId, context);
    if (!found.ok) return found;
    const work = found.value;
    const lines = work.kit.filter(isLine({ partId, binId }));
    // Somebody else left it out already.
    if (lines.length === 0) return accepted;
    const before = plannedAmount(lines, await records.get('parts', partId));
    await records.put('workOrders', { ...work, kit: withLine(work.kit, { partId, binId }) });
    const content: KitContent = { kind: 'kit', partId, binId, before, after: null, reason };
    await records.put('entries', newEntry(work, content, context));
    return accepted;
  },
});

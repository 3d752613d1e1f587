import type { EntryId, PartId, RequestId, WorkOrderId } from '../../../kernel/ids';
import type { Thousandths } from '../../../kernel/quantity/quantity';
import type { Instant } from '../../../kernel/time/instant';
import type { Records } from '../../../records/records';
import { openAmount, withEnd, type Handout, type StoreRequest } from './request';

/** What a job took of a part itself, by one entry. */
export interface OwnUse {
  readonly workOrderId: WorkOrderId;
  readonly partId: PartId;
  readonly entryId: EntryId;
  /** How much now stands: zero where it was taken back. */
  readonly quantity: Thousandths;
}

/**
 * What a job takes itself of a part for which it had asked is not handed out to it any more. Every way in which such a use is written,
 * changed or taken back comes through here, and says what then stands; however often it is told, it counts once.
 */
export async function settleByOwnUse(
  records: Records,
  { workOrderId, partId, entryId, quantity }: OwnUse,
  now: Instant,
): Promise<void> {
  const requests = (await records.list('requests', 'work', workOrderId))
    .filter((request) => request.partId === partId)
    .sort((a, b) => (a.id < b.id ? -1 : 1));
  let left = quantity;
  for (const request of requests) {
    const before = request.tookItself[entryId] ?? 0;
    const without = withoutUse(request, entryId);
    const settles = Math.min(left, openAmount(without));
    left -= settles;
    if (settles === before) continue;
    const tookItself = settles === 0 ? without.tookItself : { ...without.tookItself, [entryId]: settles };
    await records.put('requests', withEnd({ ...without, tookItself }, now));
  }
}

/** A use as it stood until now: whose amount changes, or which is taken back. */
interface Recorded {
  readonly workOrderId: WorkOrderId;
  readonly entryId: EntryId;
  readonly content: { readonly partId: PartId; readonly issue?: { readonly requestId: RequestId | null } };
}

/** What stands in its place: the entry that amends it; null where it was taken back. */
type Replacement = { readonly entryId: EntryId; readonly quantity: Thousandths } | null;

/** After the amount of a use was put right, or it was taken back: its request, if it has one, follows. */
export async function settleAgain(
  records: Records,
  { workOrderId, entryId, content }: Recorded,
  replacement: Replacement,
  now: Instant,
): Promise<void> {
  const { partId } = content;
  const requestId = content.issue?.requestId ?? null;
  if (requestId === null) {
    await settleByOwnUse(records, { workOrderId, partId, entryId, quantity: 0 }, now);
    if (replacement !== null) await settleByOwnUse(records, { workOrderId, partId, ...replacement }, now);
    return;
  }
  const request = await records.get('requests', requestId);
  if (request === undefined) return;
  const handouts = request.handouts.flatMap((handout): Handout[] => {
    if (handout.entryId !== entryId) return [handout];
    if (replacement === null) return [];
    const { quantity } = replacement;
    // Another part in its place may be counted in another unit: then what it settles stays as it was said.
    const settles = handout.settles === handout.quantity ? quantity : handout.settles;
    const returned = Math.min(handout.returned, quantity);
    return [{ ...handout, quantity, settles, returned, entryId: replacement.entryId }];
  });
  await records.put('requests', withEnd({ ...request, handouts }, now));
}

function withoutUse(request: StoreRequest, entryId: EntryId): StoreRequest {
  const { [entryId]: _, ...tookItself } = request.tookItself;
  return { ...request, tookItself };
}

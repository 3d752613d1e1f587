import type { DoneLine } from '@oilcan/core/raising/already-done';
import type { FaultChoice } from '@oilcan/core/recording/faults';
import { asId, minutesBetween, type Instant, type PersonId, type WorkOrderId } from '@oilcan/core/kernel';
import type { Result, Outcome } from '@oilcan/core/operations';
import type { Asset } from '@oilcan/core/plant/plant';
import { sentenceFor } from '@oilcan/core/registry';
import type { Settings } from '@oilcan/core/orders/settings';
import type { Meaning } from '@oilcan/core/recording/shorthand';
import { furtherWorkOrder } from '../../../data/queries/new-work';
import { peekRow, perform, performMaking } from '../../../data/store/store';
import { recordTaken, type Taken } from '../raise';
import { operationOf } from '../../recording/shorthand/words';

/** What is kept of a line about work that is done. */
export interface ToKeep extends Pick<DoneLine, 'times' | 'stoppage' | 'kind' | 'detection'>, Taken {
  readonly asset: Asset;
  readonly me: PersonId;
  readonly settings: Settings;
  readonly present: Instant;
  readonly title: string;
  /** The line as it was written. */
  readonly reason: string;
  readonly fault: (FaultChoice & { readonly activity: number | null }) | null;
  readonly meanings: readonly Meaning[];
}

export interface KeptDone {
  readonly workOrderId: WorkOrderId;
  /** Why something of it was not kept, in sentences; it can be given on the work order. */
  readonly notKept: readonly string[];
}

/** On demand of production: it stood still or ran reduced (ISO 14224:2016, table B.4; memory). */
const DISTURBED = 7;

/** Makes the work order with its entries, one after the other. Without the work order nothing is kept. */
export async function keepDone(done: ToKeep): Promise<Result<KeptDone>> {
  const { asset, me, settings, present, title, reason, kind, times, stoppage, fault, meanings, photos, voice } = done;
  const raised = furtherWorkOrder({
    assetId: asset.id,
    title,
    reason,
    urgency: 'shift',
    tradeId: null,
    cameFrom: null,
  });
  const made = await performMaking('work.raise', { ...raised, kind, personIds: [me], isDone: true });
  if (!made.ok) return made;
  const workOrderId = asId<WorkOrderId>(made.value);
  const work = peekRow('workOrders', workOrderId);
  const notKept: string[] = [];
  const note = (outcome: Outcome): void => {
    if (!outcome.ok) notKept.push(sentenceFor(outcome.code, outcome.values));
  };
  for (const { from, to, timeType } of times) {
    const minutes = minutesBetween(from, to);
    note(await perform('labor.add', { workOrderId, personId: me, startedAt: from, minutes, timeType }));
  }
  if (stoppage !== null) {
    const { from, to, extent } = stoppage;
    const args = { workOrderId, assetId: asset.id, from, to, extent, lostPercent: null, isPlanned: false };
    note(await perform('stoppage.add', args));
  }
  if (fault !== null) {
    const { component, mode, activity } = fault;
    // Nobody is made to have seen it by chance: where the line does not say how it was noticed, that stays open.
    const detection = done.detection ?? (stoppage === null ? null : DISTURBED);
    const open = { mechanism: null, cause: null, text: '' };
    note(await perform('fault.add', { workOrderId, assetId: null, component, mode, detection, activity, ...open }));
  }
  for (const meaning of meanings) {
    const meant = work === undefined ? null : operationOf(meaning, { work, me, settings, present });
    if (meant === null) continue;
    if (typeof meant === 'string') notKept.push(meant);
    else note(await perform(meant.name, meant.args));
  }
  for (const refused of await recordTaken(workOrderId, { photos, voice }, 'after')) note(refused);
  return { ok: true, value: { workOrderId, notKept } };
}

import { asId, type AssetId, type PersonId, type WorkOrderId } from '@oilcan/core/kernel';
import type { Found, Refusal } from '@oilcan/core/operations';
import type { HazardThere } from '@oilcan/core/raise';
import type { ArgsOf } from '@oilcan/core/registry';
import { furtherWorkOrder } from '../../data/new-work';
import { peekRow, perform, performMaking } from '../../data/store';

/** What somebody begins at once. */
export interface ToDoNow {
  readonly assetId: AssetId;
  readonly title: string;
  readonly hazards: readonly HazardThere[];
  readonly steps: ArgsOf<'work.raise'>['steps'];
  readonly me: PersonId;
}

/** Work that was begun at once. */
export interface Begun {
  readonly workOrderId: WorkOrderId;
  /** Why its clock does not run, where its sheet does not say that by itself. */
  readonly notStarted: Refusal | null;
}

/**
 * Work that nobody planned, begun at once: raised for oneself, its hazards acknowledged as they were shown, and the clock started.
 * Once it is raised it is there, started or not.
 */
export async function doNow({ assetId, title, hazards, steps, me }: ToDoNow): Promise<Found<Begun>> {
  const raised = furtherWorkOrder({
    assetId,
    title,
    reason: 'Done at once, without a plan.',
    urgency: 'shift',
    tradeId: null,
    cameFrom: null,
  });
  const made = await performMaking('work.raise', { ...raised, personIds: [me], hazards, steps });
  if (!made.ok) return made;
  const workOrderId = asId<WorkOrderId>(made.value);
  const hazardIds = (peekRow('workOrders', workOrderId)?.hazards ?? []).map(({ id }) => id as never);
  const read = hazardIds.length === 0 ? null : await perform('work.acknowledge-hazards', { workOrderId, hazardIds });
  const started = read === null || read.ok ? await perform('clock.start', { workOrderId }) : read;
  // Whoever may not start it yet sees on its sheet what it waits for.
  const isSaid = started.ok || started.code === 'waits_for_go_ahead';
  return { ok: true, value: { workOrderId, notStarted: isSaid ? null : started } };
}

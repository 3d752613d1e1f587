import { asId, LONGEST_LINE, type AssetId, type PersonId, type WorkOrderId } from '@oilcan/core/kernel';
import type { Result, Outcome, Refusal } from '@oilcan/core/operations';
import type { ArgsOf } from '@oilcan/core/registry/operations';
import { urgencyOfReport } from '@oilcan/core/raising/reports';
import { furtherWorkOrder } from '../../../data/queries/new-work';
import { now, peekRow, perform, performMaking } from '../../../data/store/store';
import type { HowBad } from './how-bad';
import { recordTaken } from './record-taken';
import type { Taken } from './taken';

const AT_ONCE = 'Done at once, without a plan.';

/** What somebody begins at once. */
export interface ToDoNow extends Taken {
  readonly assetId: AssetId;
  /** What is wrong; a work order is called by its first line. */
  readonly words: string;
  readonly steps: ArgsOf<'work.raise'>['steps'];
  readonly me: PersonId;
  readonly how: HowBad;
  /** The job of which it is further work; null where it stands for itself. */
  readonly cameFrom: WorkOrderId | null;
}

/** Work that was begun at once. */
export interface Begun {
  readonly workOrderId: WorkOrderId;
  /** What did not go along, or why its clock does not run where its sheet does not say that by itself. */
  readonly trouble: Refusal | null;
}

/**
 * Work that nobody planned, begun at once: raised for oneself with what was said, shown and spoken of it, the hazards of its
 * machine acknowledged as they were shown, and the clock started. Once it is raised it is there, started or not.
 */
export async function doNow({ me, photos, voice, ...toDo }: ToDoNow): Promise<Result<Begun>> {
  const made = await performMaking('work.raise', workToRaise(toDo, me));
  if (!made.ok) return made;
  const workOrderId = asId<WorkOrderId>(made.value);
  const outcomes = [...(await recordTaken(workOrderId, { photos, voice }, 'before')), await begin(workOrderId)];
  // Whoever may not start it yet sees on its sheet what it waits for.
  const trouble = outcomes.find((outcome) => !outcome.ok && outcome.code !== 'waits_for_go_ahead');
  return { ok: true, value: { workOrderId, trouble: trouble === undefined || trouble.ok ? null : trouble } };
}

function workToRaise(
  { assetId, words, steps, how, cameFrom }: Omit<ToDoNow, 'me' | keyof Taken>,
  me: PersonId,
): ArgsOf<'work.raise'> {
  const urgency = urgencyOfReport(how, peekRow('assets', assetId)?.criticality ?? null);
  const raised = furtherWorkOrder({
    assetId,
    title: words.slice(0, LONGEST_LINE),
    reason: words.length > LONGEST_LINE ? `${words}\n\n${AT_ONCE}` : AT_ONCE,
    // Whoever begins at once does not think that it can wait a week.
    urgency: urgency === 'now' ? 'now' : 'shift',
    tradeId: null,
    cameFrom,
  });
  const isOut = how.condition === 'stopped' || how.condition === 'reduced';
  const extent = how.condition === 'stopped' ? 'full' : 'reduced';
  const stoppage = isOut ? { stoppage: { from: how.since ?? now(), extent, lostPercent: null } as const } : {};
  return { ...raised, personIds: [me], steps, ...stoppage };
}

async function begin(workOrderId: WorkOrderId): Promise<Outcome> {
  const hazardIds = (peekRow('workOrders', workOrderId)?.hazards ?? []).map(({ id }) => id as never);
  if (hazardIds.length > 0) {
    const read = await perform('work.acknowledge-hazards', { workOrderId, hazardIds });
    if (!read.ok) return read;
  }
  return perform('clock.start', { workOrderId });
}

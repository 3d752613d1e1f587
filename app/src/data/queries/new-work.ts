import type { ArgsOf } from '@oilcan/core/registry/operations';

type Raised = ArgsOf<'work.raise'>;

/** A work order that comes out of another, with what is known of it; everything else is left to whoever plans it. */
export function furtherWorkOrder(
  known: Pick<Raised, 'assetId' | 'title' | 'reason' | 'urgency' | 'tradeId' | 'cameFrom'> &
    Pick<Raised, 'alarmOf' | 'answers' | 'carried'>,
): Raised {
  return {
    number: null,
    kind: 'corrective',
    dueAt: null,
    estimateMinutes: 0,
    steps: [],
    kit: [],
    tools: [],
    hazards: [],
    personIds: [],
    crewId: null,
    ...known,
  };
}

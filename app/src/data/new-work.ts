import { likelyKit, type Usual } from '@oilcan/core/past';
import type { ArgsOf } from '@oilcan/core/registry';
import type { KitPart, WorkOrder } from '@oilcan/core/work';
import { fullestBin } from './stock';

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

/** With the kit and the time that such jobs usually take. */
export function asUsual(raised: Raised, usual: Usual | null, siteId: WorkOrder['siteId']): Raised {
  if (usual === null) return raised;
  const kit = likelyKit(usual).flatMap(({ partId, quantity }): KitPart[] => {
    const binId = fullestBin(partId, siteId);
    return binId === undefined || quantity <= 0 ? [] : [{ partId, binId, quantity, unit: null }];
  });
  return { ...raised, kit, estimateMinutes: usual.minutes?.median ?? 0 };
}

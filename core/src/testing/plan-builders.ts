import { asId, type PlanId } from '../kernel/ids';
import type { LocalDay } from '../kernel/time/local-day';
import type { Plan } from '../subjects/finishing/plans/plan';
import { assetId, site } from './builders';

/** A plan that is due every three months after it was done. */
export const aPlan = (given: Partial<Plan> = {}): Plan => ({
  id: asId<PlanId>('plan'),
  siteId: site,
  assetId,
  title: 'Oil change',
  reason: 'Due every three months.',
  kind: 'preventive',
  urgency: 'week',
  tradeId: 'mechanical',
  estimateMinutes: 60,
  personIds: [],
  crewId: null,
  procedureId: null,
  triggers: [{ kind: 'completion', every: 3, unit: 'month' }],
  leadDays: 7,
  dueMinutes: 16 * 60,
  startsOn: '2026-01-01' as LocalDay,
  idle: [],
  except: [],
  last: null,
  made: 0,
  open: null,
  ...given,
});

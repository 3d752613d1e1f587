import type { Instant } from '../../../kernel/time/instant';
import type { Incident } from '../../raising/incidents/incident';
import type { Asset } from '../../plant/plant/plant';
import type { Report } from '../../raising/reports/report';
import { problemsToAnswer } from '../../raising/reports/to-answer';
import { isLate } from '../../finishing/shift/shift-order';
import { waitsForGoAhead } from '../../orders/work/waits-for-go-ahead';
import type { WorkOrder } from '../../orders/work/work-order';

/** What a lead has before them. */
export interface BeforeALead {
  readonly reports: readonly Report[];
  readonly incidents: readonly Incident[];
  readonly assets: readonly Asset[];
  readonly works: readonly WorkOrder[];
  /** How many finished jobs wait for their look. */
  readonly finished: number;
}

/** The worst thing that waits for a lead. */
export type WorstWaiting =
  | { readonly is: 'danger' | 'report'; readonly report: Report }
  | { readonly is: 'injury'; readonly incident: Incident }
  | { readonly is: 'stopped'; readonly asset: Asset }
  | { readonly is: 'late'; readonly work: WorkOrder }
  | { readonly is: 'goAhead'; readonly work: WorkOrder }
  | { readonly is: 'finished'; readonly count: number }
  | { readonly is: 'nothing' };

/** Up to here a machine that stands still stops a lift or the whole mountain. */
const CRITICAL_UP_TO = 2;

/**
 * What is worst of all that waits for a lead: somebody in danger, somebody hurt, a critical machine that stands still without anybody at
 * it, work needed now that is late, another report, raised work that waits for a go-ahead, and last what is finished. The order is one of the
 * trade: people before machines, what gets worse by waiting before what does not (common practice).
 */
export function worstWaiting({ reports, incidents, assets, works, finished }: BeforeALead, now: Instant): WorstWaiting {
  const unanswered = problemsToAnswer(reports).map(([report]) => report);
  const danger = unanswered.find((report) => report.danger === true);
  if (danger !== undefined) return { is: 'danger', report: danger };
  const injury = incidents.find(({ kind, closed }) => kind === 'injury' && closed === null);
  if (injury !== undefined) return { is: 'injury', incident: injury };
  const attended = new Set(works.filter(({ state }) => state === 'underway').map(({ assetId }) => assetId));
  const [stopped] = assets
    .filter(
      ({ id, condition, criticality }) => condition === 'stopped' && criticality <= CRITICAL_UP_TO && !attended.has(id),
    )
    .sort((a, b) => a.criticality - b.criticality || (a.conditionSince < b.conditionSince ? -1 : 1));
  if (stopped !== undefined) return { is: 'stopped', asset: stopped };
  const [late] = works
    .filter((work) => work.urgency === 'now' && work.state === 'ready' && isLate(work, now))
    .sort((a, b) => ((a.dueAt ?? '') < (b.dueAt ?? '') ? -1 : 1));
  if (late !== undefined) return { is: 'late', work: late };
  const [report] = unanswered;
  if (report !== undefined) return { is: 'report', report };
  const [waiting] = works.filter(waitsForGoAhead).sort((a, b) => (a.createdAt < b.createdAt ? -1 : 1));
  if (waiting !== undefined) return { is: 'goAhead', work: waiting };
  return finished === 0 ? { is: 'nothing' } : { is: 'finished', count: finished };
}

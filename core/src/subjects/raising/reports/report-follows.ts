import type { WorkOrderId } from '../../../kernel/ids';
import type { Instant } from '../../../kernel/time/instant';
import type { Records } from '../../../records/records';
import type { FollowsWork } from '../../orders/work/follows-work';
import type { WorkOrder } from '../../orders/work/work-order';
import { withEvent } from './change-report';
import type { Report } from './report';

type Ended = Pick<WorkOrder, 'id' | 'number'>;

const reportsOf = (records: Records, id: WorkOrderId): Promise<readonly Report[]> =>
  records.list('reports', 'work', id);

/** Each reporter sees it solved. Where the work was dropped, somebody has to answer them again. */
async function ended(records: Records, { id, number }: Ended, was: 'done' | 'dropped', at: Instant): Promise<void> {
  for (const report of await reportsOf(records, id)) {
    if (report.state !== 'taken') continue;
    const is = was === 'done' ? 'solved' : 'dropped';
    const told = withEvent(report, { is, number }, `${id}-${is}-${report.events.length}`, at);
    await records.put(
      'reports',
      was === 'done' ? { ...told, state: 'solved', endedAt: at } : { ...told, state: 'waiting', workOrderId: null },
    );
  }
}

async function reopened(records: Records, { id, number }: Ended, at: Instant): Promise<void> {
  for (const report of await reportsOf(records, id)) {
    if (report.state !== 'solved') continue;
    const told = withEvent(report, { is: 'reopened', number }, `${id}-reopened-${report.events.length}`, at);
    await records.put('reports', { ...told, state: 'taken', endedAt: null });
  }
}

/** A report closes with its work. */
export const reportFollows: FollowsWork = { ended, reopened };

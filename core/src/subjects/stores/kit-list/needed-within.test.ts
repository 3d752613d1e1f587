import { asId, type WorkOrderId } from '../../../kernel/ids';
import type { LocalDay } from '../../../kernel/time/local-day';
import { ann, aWorkOrder, noon } from '../../../testing/builders';
import { minutesLater } from '../../../testing/works';
import type { WorkOrder } from '../../orders/work/work-order';
import { neededWithin, type NeedSpan } from './needed-within';

const DAY = 24 * 60;
const day = (text: string): LocalDay => text as LocalDay;
const job = (id: string, given: Partial<WorkOrder>): WorkOrder => aWorkOrder({ id: asId<WorkOrderId>(id), ...given });
const works = [
  job('late', { dueAt: minutesLater(-DAY) }),
  job('today', { dueAt: minutesLater(60) }),
  job('underway', { state: 'underway', dueAt: minutesLater(30 * DAY) }),
  job('tomorrow', { dueAt: minutesLater(DAY) }),
  job('planned for tomorrow', { plannedOn: day('2026-11-24'), dueAt: minutesLater(20 * DAY) }),
  job('sixth day', { dueAt: minutesLater(6 * DAY) }),
  job('in a week', { dueAt: minutesLater(7 * DAY) }),
  job('nobody said', { dueAt: null }),
  job('finished', { state: 'finished', dueAt: noon }),
  job('put off', { dueAt: noon, putOff: { until: day('2026-11-24'), reason: 'Wind', by: ann.id, at: noon } }),
];
const within = (span: NeedSpan): string[] => neededWithin(works, span, noon, 'Europe/Vienna').map(({ id }) => id);

it('work needs its parts on the day for which it is planned, else when it is due; what is late or underway needs them today', () => {
  expect(within('today')).toEqual(['late', 'today', 'underway']);
  expect(within('tomorrow')).toEqual(['tomorrow', 'planned for tomorrow', 'put off']);
  expect(within('week')).toEqual([
    'late',
    'today',
    'underway',
    'tomorrow',
    'planned for tomorrow',
    'sixth day',
    'put off',
  ]);
});

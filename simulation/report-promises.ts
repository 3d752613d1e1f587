import type { Incident } from '@oilcan/core/raising/incidents';
import { isProvisional } from '@oilcan/core/plant/numbers';
import { isOpenReport, type Report } from '@oilcan/core/raising/reports';
import { isOpen, type WorkOrder } from '@oilcan/core/orders/work';
import type { Shift } from './shift';

/** A report or an incident without a number of its own, and a report that does not stand as the work on it does. */
export async function wrongReports(shift: Shift): Promise<string[]> {
  const rowsOf = async <T>(table: string): Promise<T[]> => {
    const stored: { body: string }[] = await shift.server.database(table).select('body');
    return stored.map(({ body }) => JSON.parse(body) as T);
  };
  const reports = await rowsOf<Report>('reports');
  const incidents = await rowsOf<Incident>('incidents');
  const works = new Map((await rowsOf<WorkOrder>('work_orders')).map((work) => [work.id, work]));
  const broken: string[] = [];
  const byNumber = new Map<string, string>();
  for (const { id, number } of [...reports, ...incidents]) {
    const other = byNumber.get(number);
    if (other !== undefined) broken.push(`${id} and ${other} are both ${number}.`);
    byNumber.set(number, id);
    if (isProvisional(number)) broken.push(`${id} never got a number: ${number}.`);
    const shown = shift.numbers.get(id);
    if (shown !== undefined && !isProvisional(shown) && shown !== number)
      broken.push(`${id} was shown as ${shown} and is ${number}.`);
  }
  for (const report of reports) {
    const { id, state, workOrderId, endedAt, others, by } = report;
    const work = workOrderId === null ? undefined : works.get(workOrderId);
    const hasWork = state === 'taken' || state === 'solved';
    if (hasWork !== (work !== undefined)) broken.push(`${id} is ${state} with work ${workOrderId ?? 'none'}.`);
    if (work !== undefined && isOpen(work.state) !== (state === 'taken'))
      broken.push(`${id} is ${state}; its work ${work.number} is ${work.state}.`);
    if ((endedAt === null) !== isOpenReport(report))
      broken.push(`${id} is ${state} and ended at ${endedAt ?? 'no time'}.`);
    const people = [by, ...others.map(({ personId }) => personId)];
    if (new Set(people).size !== people.length) broken.push(`${id} counts somebody twice.`);
  }
  return broken;
}

import type { StopId } from '../../kernel/ids';
import type { Instant } from '../../kernel/time/instant';
import type { Records } from '../../records/records';
import { newWorkOrder, type WorkToMake } from '../work/new-work-order';
import { isOpen } from '../work/states';
import type { Hazard, WorkOrder } from '../work/work-order';
import { dangersOf, hazardName, withDangers } from './dangers';

/**
 * Puts a new work order: the one way in which any is made, whoever or whatever makes it. It has the hazards and the isolation points of
 * its machine beside what is said of it.
 */
export async function putNewWork(records: Records, said: WorkToMake): Promise<WorkOrder> {
  const work = await withDangersThere(records, newWorkOrder(said));
  await records.put('workOrders', work);
  return work;
}

/**
 * An open work order with the dangers of its machine and, on a round, of the machine at each of its stops; itself where it lacks none.
 *
 * @param addedAt since when they are known, where the work order was there before: whoever could know reads them again
 */
export async function withDangersThere(records: Records, work: WorkOrder, addedAt?: Instant): Promise<WorkOrder> {
  if (!isOpen(work.state)) return work;
  const since = addedAt === undefined ? {} : { addedAt };
  const asset = await records.get('assets', work.assetId);
  let all = asset === undefined ? work : withDangers(work, await dangersOf(records, asset), since);
  const ofStops: { readonly stopId: StopId; readonly hazards: readonly Hazard[] }[] = [];
  for (const stop of await records.list('stops', 'workOrder', work.id)) {
    const there = await records.get('assets', stop.assetId);
    if (there !== undefined) ofStops.push({ stopId: stop.id, hazards: (await dangersOf(records, there)).hazards });
  }
  // What waits at several stops is read once, for the whole round.
  const times = new Map<string, number>();
  for (const name of ofStops.flatMap(({ hazards }) => hazards.map(hazardName)))
    times.set(name, (times.get(name) ?? 0) + 1);
  const isOften = (hazard: Hazard): boolean => (times.get(hazardName(hazard)) ?? 0) > 1;
  for (const { stopId, hazards } of ofStops) {
    all = withDangers(all, { hazards: hazards.filter(isOften), isolation: [] }, since);
    all = withDangers(all, { hazards: hazards.filter((each) => !isOften(each)), isolation: [] }, { ...since, stopId });
  }
  return all;
}

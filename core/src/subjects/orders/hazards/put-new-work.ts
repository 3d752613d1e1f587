import type { StopId } from '../../../kernel/ids';
import type { Instant } from '../../../kernel/time/instant';
import type { Records } from '../../../records/records';
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
  const stopsOf = new Map<string, Set<StopId>>();
  const wait = (hazard: Hazard, stopId: StopId): void => {
    const known = stopsOf.get(hazardName(hazard)) ?? new Set();
    stopsOf.set(hazardName(hazard), known.add(stopId));
  };
  for (const hazard of all.hazards) if (hazard.stopId !== undefined) wait(hazard, hazard.stopId);
  for (const { stopId, hazards } of ofStops) for (const hazard of hazards) wait(hazard, stopId);
  const isOften = (hazard: Hazard): boolean => (stopsOf.get(hazardName(hazard))?.size ?? 0) > 1;
  all = ofTheWhole(all, isOften);
  for (const { stopId, hazards } of ofStops) {
    all = withDangers(all, { hazards: hazards.filter(isOften), isolation: [] }, since);
    all = withDangers(all, { hazards: hazards.filter((each) => !isOften(each)), isolation: [] }, { ...since, stopId });
  }
  return all;
}

/** The work order with such hazards of single stops as hazards of the whole round; what is the same in all its words stands once. */
function ofTheWhole(work: WorkOrder, isSuch: (hazard: Hazard) => boolean): WorkOrder {
  if (!work.hazards.some((hazard) => hazard.stopId !== undefined && isSuch(hazard))) return work;
  const words = new Set<string>();
  const hazards = work.hazards.flatMap((hazard): Hazard[] => {
    if (hazard.stopId !== undefined && !isSuch(hazard)) return [hazard];
    const { stopId: _, ...whole } = hazard;
    const said = `${hazardName(whole)} ${whole.control.trim()}`;
    if (words.has(said)) return [];
    words.add(said);
    return [whole];
  });
  return { ...work, hazards };
}

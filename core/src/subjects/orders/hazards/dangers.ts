import type { Records } from '../../../records/records';
import type { Asset } from '../../plant/plant/plant';
import { isOpen } from '../work/states';
import type { Hazard, IsolationPoint, WorkOrder } from '../work/work-order';
import { registerIdOf, type HazardRegister } from './hazard-register';

/** What endangers whoever works on a machine, and where its energy is kept away. */
export interface Dangers {
  readonly hazards: readonly Hazard[];
  readonly isolation: readonly IsolationPoint[];
}

/**
 * What the hazard register says of a machine and what it is part of, of the place where it stands and those around it, and of its
 * class; with what people noticed on open work on the machine. Nearest first, each once.
 */
export async function dangersOf(
  records: Pick<Records, 'get' | 'list'>,
  asset: Pick<Asset, 'id' | 'siteId' | 'parentId' | 'placeId' | 'equipmentClass'>,
): Promise<Dangers> {
  const registers: HazardRegister[] = [];
  const look = async (id: string): Promise<void> => {
    const register = await records.get('hazardRegister', id);
    if (register?.siteId === asset.siteId) registers.push(register);
  };
  const machines = new Set([asset.id]);
  for (const id of machines) {
    await look(registerIdOf.asset(id));
    const parent = id === asset.id ? asset.parentId : (await records.get('assets', id))?.parentId;
    if (parent !== null && parent !== undefined) machines.add(parent);
  }
  const places = new Set([asset.placeId]);
  for (const id of places) {
    await look(registerIdOf.place(id));
    const parent = (await records.get('places', id))?.parentId;
    if (parent !== null && parent !== undefined) places.add(parent);
  }
  await look(registerIdOf.equipmentClass(asset.siteId, asset.equipmentClass));
  const registered = registers.flatMap((register) =>
    register.hazards.map(({ id, hazard, control, since }): Hazard => ({
      id,
      hazard,
      control,
      ...(since === undefined ? {} : { addedAt: since }),
    })),
  );
  const works = await records.list('workOrders', 'openOn', asset.id);
  const noticed = works
    .filter(({ state }) => isOpen(state))
    .flatMap(({ hazards }) => hazards.filter(({ addedAt, stopId }) => addedAt !== undefined && stopId === undefined));
  return {
    hazards: eachOnce([...registered, ...noticed]),
    isolation: withOwnIds(registers.flatMap(({ isolation }) => isolation)),
  };
}

/** What a hazard is called decides whether it is the same as another. */
export const hazardName = ({ hazard }: Pick<Hazard, 'hazard'>): string =>
  hazard.trim().replace(/\s+/g, ' ').toLowerCase();

function eachOnce(hazards: readonly Hazard[]): Hazard[] {
  const byName = new Map<string, Hazard>();
  for (const hazard of hazards) if (!byName.has(hazardName(hazard))) byName.set(hazardName(hazard), hazard);
  return withOwnIds([...byName.values()]);
}

/** No two of a work order have one id: what comes second under one that is taken is told apart, and what is the same is left out. */
function withOwnIds<Of extends { readonly id: string }>(all: readonly Of[]): Of[] {
  const byId = new Map<string, Of>();
  for (const each of all) {
    let id = each.id;
    for (let next = 2; byId.has(id); next += 1) {
      if (JSON.stringify({ ...byId.get(id), id: each.id }) === JSON.stringify(each)) break;
      id = `${each.id}-${next}`;
    }
    if (!byId.has(id)) byId.set(id, { ...each, id });
  }
  return [...byId.values()];
}

/** What is known on one work order since a revision is known on another only since it was added there. */
function givenTo(hazard: Hazard, given: Pick<Hazard, 'stopId' | 'addedAt'>): Hazard {
  const { revision, ...rest } = hazard;
  const isSince = revision === undefined || given.addedAt !== undefined ? {} : { revision };
  return { ...rest, ...isSince, ...given };
}

/**
 * A work order with what it lacks of these dangers; itself where it lacks nothing. What it says itself comes first, in its own words.
 *
 * @param given of a round, the stop at which they wait; and since when, where the work order was there before they were known
 */
export function withDangers(
  work: WorkOrder,
  { hazards, isolation }: Dangers,
  given: Pick<Hazard, 'stopId' | 'addedAt'> = {},
): WorkOrder {
  const has = (hazard: Hazard): boolean =>
    work.hazards.some(
      (own) => hazardName(own) === hazardName(hazard) && (own.stopId === undefined || own.stopId === given.stopId),
    );
  const missing = hazards.filter((hazard) => !has(hazard)).map((hazard) => givenTo(hazard, given));
  const points = new Set(work.isolation.map(({ device }) => device.trim().toLowerCase()));
  const missingPoints = isolation.filter(({ device }) => !points.has(device.trim().toLowerCase()));
  if (missing.length === 0 && missingPoints.length === 0) return work;
  return {
    ...work,
    hazards: withOwnIds([...work.hazards, ...missing]),
    isolation: withOwnIds([...work.isolation, ...missingPoints]),
  };
}

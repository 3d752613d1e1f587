import type { Asset } from '../plant/plant';
import type { Procedure } from '../procedures/procedure';
import { isOpen } from '../work/states';
import type { Hazard, WorkOrder } from '../work/work-order';

/** A hazard that waits wherever such a machine is worked on, and what is done about it. */
export type HazardThere = Pick<Hazard, 'hazard' | 'control'>;

/** So many are shown before work that nobody planned; more would not be read. */
const MOST_HAZARDS = 8;

/**
 * The hazards of a machine, for work that nobody planned: those of open work on it, of its own procedures, and of procedures for its
 * class, each once.
 */
export function hazardsThere(
  asset: Pick<Asset, 'id' | 'equipmentClass'>,
  procedures: readonly Procedure[],
  works: readonly WorkOrder[],
): HazardThere[] {
  const ofWork = works.filter(({ assetId, state }) => assetId === asset.id && isOpen(state));
  const own = procedures.filter(({ assetId }) => assetId === asset.id);
  const ofClass = procedures.filter(
    ({ assetId, equipmentClasses }) => assetId === undefined && equipmentClasses.includes(asset.equipmentClass),
  );
  const found = new Map<string, HazardThere>();
  for (const { hazards = [] } of [...ofWork, ...own, ...ofClass])
    for (const { hazard, control } of hazards) {
      const key = hazard.trim().toLowerCase();
      if (!found.has(key)) found.set(key, { hazard, control });
    }
  return [...found.values()].slice(0, MOST_HAZARDS);
}

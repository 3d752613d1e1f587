import fc from 'fast-check';
import { asId, type AssetId, type StopId } from '../../../kernel/ids';
import { aHazardRegister, anAsset, aStop, aWorkOrder, put, workId } from '../../../testing/builders';
import { memoryWith } from '../../../testing/records-conformance';
import type { Hazard, WorkOrder } from '../work/work-order';
import { hazardName } from './dangers';
import { registerIdOf } from './hazard-register';
import { withDangersThere } from './put-new-work';

const STOPS = 3;
const names = ['Live parts', 'Hot oil', 'Fall'] as const;
const machineAt = (index: number): AssetId => asId<AssetId>(`pump-${index}`);
const stopAt = (index: number): StopId => asId<StopId>(`stop-${index}`);
const danger = (name: string, index: number): Hazard => ({ id: `${name} ${index}`, hazard: name, control: 'Mind it' });

/** A round over three machines, each with hazards of its own in the register, and what the work order itself says of a stop. */
function onRound(registered: readonly (readonly string[])[], own: readonly Hazard[]): Promise<WorkOrder> {
  const work = aWorkOrder({ hazards: own, state: 'ready' });
  const records = memoryWith([
    put('assets', anAsset()),
    put('workOrders', work),
    ...registered.flatMap((hazards, index) => [
      put('assets', anAsset({ id: machineAt(index), tag: `P-${index}`, equipmentClass: `class ${index}` })),
      put('stops', aStop({ id: stopAt(index), assetId: machineAt(index), position: index, workOrderId: workId })),
      put(
        'hazardRegister',
        aHazardRegister({
          id: registerIdOf.asset(machineAt(index)),
          hazards: hazards.map((name) => danger(name, index)),
        }),
      ),
    ]),
  ]);
  return withDangersThere(records, work);
}

describe('the hazards of a round', () => {
  it('stand once where they wait at several stops, also where the work order says one of a stop itself', async () => {
    const own = { ...danger('Live parts', 9), stopId: stopAt(0) };
    const { hazards } = await onRound([[], ['live  parts'], ['Hot oil']], [own]);
    expect(hazards.map(({ hazard, stopId }) => [hazard, stopId])).toEqual([
      ['Live parts', undefined],
      ['Hot oil', stopAt(2)],
    ]);
  });

  it('are all there, and none twice, whatever waits where', async () => {
    const some = fc.subarray([...names]);
    await fc.assert(
      fc.asyncProperty(
        fc.array(some, { minLength: STOPS, maxLength: STOPS }),
        fc.array(fc.tuple(fc.constantFrom(...names), fc.nat(STOPS - 1)), { maxLength: 3 }),
        async (registered, said) => {
          const own = said.map(([name, index], at): Hazard => ({ ...danger(name, at + 10), stopId: stopAt(index) }));
          const { hazards } = await onRound(registered, own);
          const ids = hazards.map(({ id }) => id);
          expect(new Set(ids).size).toBe(ids.length);
          for (const [index, there] of registered.entries())
            for (const name of there)
              expect(
                hazards.some(
                  (each) =>
                    hazardName(each) === name.toLowerCase() &&
                    (each.stopId === undefined || each.stopId === stopAt(index)),
                ),
              ).toBe(true);
          const ofTheWhole = hazards.filter(({ stopId }) => stopId === undefined).map(hazardName);
          expect(new Set(ofTheWhole).size).toBe(ofTheWhole.length);
          // Nothing of a single stop is said for the whole as well.
          const ofStops = hazards.filter(({ stopId }) => stopId !== undefined).map(hazardName);
          expect(ofStops.filter((name) => ofTheWhole.includes(name))).toEqual([]);
        },
      ),
    );
  });
});

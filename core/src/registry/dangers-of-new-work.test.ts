import * as fc from 'fast-check';
import { asId, type AssetId, type PlaceId, type PointId, type ReportId, type WorkOrderId } from '../kernel/ids';
import type { LocalDay } from '../kernel/time/local-day';
import type { Change } from '../records/records';
import { registerIdOf, type HazardRegister } from '../subjects/orders/hazards/hazard-register';
import { putPlannedWork } from '../subjects/finishing/plans/plan-work';
import type { Person } from '../subjects/plant/people/people';
import type { IsolationPoint, WorkOrder } from '../subjects/orders/work/work-order';
import {
  aHazardRegister,
  anAsset,
  ann,
  anOperation,
  aPoint,
  aRaise,
  aWorkOrder,
  lea,
  noon,
  put,
  site,
} from '../testing/builders';
import { aPlan } from '../testing/plan-builders';
import { aReport, reportId, someRules } from '../testing/report-builders';
import { codeOf, Works } from '../testing/works';
import type { ArgsOf } from './operations';

const MACHINES = 4;
const PLACES = 3;
const assetIdAt = (index: number): AssetId => asId<AssetId>(`machine-${index}`);
const placeIdAt = (index: number): PlaceId => asId<PlaceId>(`place-${index}`);

/** A plant as it may be: machines in machines, places in places, and a register of some of each. */
interface Plant {
  readonly parents: readonly (number | null)[];
  readonly placeParents: readonly (number | null)[];
  readonly placeOf: readonly number[];
  readonly classOf: readonly string[];
  readonly registered: readonly string[];
}

const below = (count: number, least = 0) =>
  fc.tuple(
    ...Array.from({ length: count }, (_, index) =>
      index <= least ? fc.constant(null) : fc.option(fc.nat(index - 1), { nil: null }),
    ),
  );

const plants: fc.Arbitrary<Plant> = fc.record({
  parents: below(MACHINES),
  placeParents: below(PLACES),
  placeOf: fc.array(fc.nat(PLACES - 1), { minLength: MACHINES, maxLength: MACHINES }),
  classOf: fc.array(fc.constantFrom('gearbox', 'pump'), { minLength: MACHINES, maxLength: MACHINES }),
  registered: fc.subarray([
    ...Array.from({ length: MACHINES }, (_, index) => registerIdOf.asset(assetIdAt(index))),
    ...Array.from({ length: PLACES }, (_, index) => registerIdOf.place(placeIdAt(index))),
    registerIdOf.equipmentClass(site, 'gearbox'),
    registerIdOf.equipmentClass(site, 'pump'),
  ]),
});

const pointOf = (id: string): IsolationPoint => ({
  id: 'switch',
  energy: 'electrical',
  device: `Switch of ${id}`,
  release: null,
  test: 'Try to start',
});
const registerOf = (id: string): HazardRegister =>
  aHazardRegister({
    id,
    hazards: [{ id: 'danger', hazard: `Danger of ${id}`, control: 'Mind it' }],
    isolation: [pointOf(id)],
  });

function rowsOf({ parents, placeParents, placeOf, classOf, registered }: Plant): Change[] {
  return [
    ...placeParents.map((parent, index) =>
      put('places', {
        id: placeIdAt(index),
        siteId: site,
        parentId: parent === null ? null : placeIdAt(parent),
        name: `Place ${index}`,
      }),
    ),
    ...parents.map((parent, index) =>
      put(
        'assets',
        anAsset({
          id: assetIdAt(index),
          parentId: parent === null ? null : assetIdAt(parent),
          placeId: placeIdAt(placeOf[index] ?? 0),
          equipmentClass: classOf[index] ?? '',
        }),
      ),
    ),
    ...registered.map((id) => put('hazardRegister', registerOf(id))),
  ];
}

/** What the register has for somebody who works on a machine, found by walking up by hand. */
function expectedAt(plant: Plant, index: number): string[] {
  const ids: string[] = [];
  for (let at: number | null = index; at !== null; at = plant.parents[at] ?? null)
    ids.push(registerIdOf.asset(assetIdAt(at)));
  for (let at: number | null = plant.placeOf[index] ?? 0; at !== null; at = plant.placeParents[at] ?? null)
    ids.push(registerIdOf.place(placeIdAt(at)));
  ids.push(registerIdOf.equipmentClass(site, plant.classOf[index] ?? ''));
  return ids.filter((id) => plant.registered.includes(id)).sort();
}

/** Every way in which a work order comes about, and who goes it. */
const ways: Readonly<Record<string, (works: Works, assetId: AssetId, by: Person) => Promise<WorkOrder | undefined>>> = {
  ...Object.fromEntries(
    Object.entries<(assetId: AssetId) => Partial<ArgsOf<'work.raise'>>>({
      'done at once': () => ({ urgency: 'shift' }),
      'planned for a day': () => ({ plannedOn: '2026-12-01' as LocalDay, kind: 'preventive' }),
      'taken up from a report': () => ({ reportIds: [reportId as ReportId] }),
      'further work': () => ({ cameFrom: asId<WorkOrderId>('w-1') }),
      'beyond an alarm': () => ({ alarmOf: asId<PointId>('beyond') }),
      'already done': () => ({ isDone: true }),
      'of a machine that stands still': () => ({ stoppage: { from: noon, extent: 'full', lostPercent: null } }),
      'with hazards of its own': () => ({ hazards: [{ hazard: 'Ice', control: 'Salt' }] }),
    }).map(([name, given]) => [
      name,
      async (works: Works, assetId: AssetId, by: Person) => {
        const raise = anOperation('work.raise', aRaise({ assetId, ...given(assetId) }), { by: by.id });
        expect(codeOf(await works.send(raise, by))).toBe('accepted');
        return works.records.peek('workOrders', raise.id);
      },
    ]),
  ),
  'a plan that came due': async (works, assetId) => {
    const plan = aPlan({ assetId });
    works.records.change([put('plans', plan)]);
    return (
      (await putPlannedWork(works.records, plan, {
        dueOn: '2026-12-01' as LocalDay,
        number: 'W-9',
        at: noon,
        personIds: [],
      })) ?? undefined
    );
  },
  'a plan taken along': async (works, assetId, by) => {
    works.records.change([put('plans', aPlan({ assetId, startsOn: '2026-11-30' as LocalDay }))]);
    const args = { planId: aPlan().id, occurrence: 1, dueOn: '2026-11-30' as LocalDay, number: 'W-9' };
    expect(codeOf(await works.do('plan.take-along', args, by))).toBe('accepted');
    return works.records.peek('workOrders', `${aPlan().id}-1`);
  },
};

describe('a work order, however it came about', () => {
  it.each(Object.keys(ways))(
    'has the hazards and isolation points of its machine, its place and its class: %s',
    async (way) => {
      await fc.assert(
        fc.asyncProperty(plants, fc.nat(MACHINES - 1), fc.constantFrom(ann, lea), async (plant, index, by) => {
          const works = new Works();
          works.records.change([
            ...rowsOf(plant),
            put('reports', aReport({ assetId: assetIdAt(index) })),
            put('points', aPoint({ id: asId<PointId>('beyond'), assetId: assetIdAt(index) })),
            put('raiseRules', someRules({ technicianTakesUp: true })),
          ]);
          const work = await ways[way]?.(works, assetIdAt(index), by);
          const expected = expectedAt(plant, index);
          const registered = (work?.hazards ?? [])
            .map(({ hazard }) => hazard)
            .filter((text) => text.startsWith('Danger of '));
          expect(registered.map((text) => text.slice('Danger of '.length)).sort()).toEqual(expected);
          expect((work?.isolation ?? []).map(({ device }) => device.slice('Switch of '.length)).sort()).toEqual(
            expected,
          );
          const ids = [...(work?.hazards ?? []), ...(work?.isolation ?? [])].map(({ id }) => id);
          expect(new Set((work?.hazards ?? []).map(({ id }) => id)).size).toBe(work?.hazards.length);
          expect(new Set((work?.isolation ?? []).map(({ id }) => id)).size).toBe(work?.isolation.length);
          expect(ids.every((id) => id.length <= 64)).toBe(true);
          if (work === undefined || way === 'already done' || work.hazards.length === 0) return;
          const start = anOperation('clock.start', { workOrderId: work.id }, { by: lea.id });
          expect(codeOf(await works.send(start, lea))).toBe('hazards_not_acknowledged');
        }),
        { numRuns: 40 },
      );
    },
  );

  it('has what was noticed on other open work there, and not what was noticed on work that is over', async () => {
    const works = new Works();
    const noticed = { id: 'n', hazard: 'Ice on the platform', control: 'Salt', addedAt: noon };
    works.records.change([
      put('workOrders', aWorkOrder({ id: asId<WorkOrderId>('w-2'), number: 'W-2', hazards: [noticed] })),
      put(
        'workOrders',
        aWorkOrder({
          id: asId<WorkOrderId>('w-3'),
          number: 'W-3',
          state: 'dropped',
          closedAt: noon,
          hazards: [{ ...noticed, hazard: 'Snow' }],
        }),
      ),
    ]);
    const raise = anOperation('work.raise', aRaise());
    await works.send(raise);
    expect(works.records.peek('workOrders', raise.id)?.hazards.map(({ hazard }) => hazard)).toEqual([
      'Ice on the platform',
    ]);
  });

  it('keeps its own words for a hazard that the register has too', async () => {
    const works = new Works();
    works.records.change([put('hazardRegister', aHazardRegister())]);
    const raise = anOperation('work.raise', aRaise({ hazards: [{ hazard: ' drive  can START', control: 'Key out' }] }));
    await works.send(raise);
    expect(works.records.peek('workOrders', raise.id)?.hazards).toMatchObject([{ control: 'Key out' }]);
  });
});

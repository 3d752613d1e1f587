import { asId, type PlanId, type ProcedureId, type WorkOrderId } from '../../../kernel/ids';
import { timeOfDay, type LocalDay } from '../../../kernel/time/local-day';
import {
  ann,
  anAsset,
  anOperation,
  aPoint,
  aProcedure,
  assetId,
  bob,
  lea,
  noon,
  pointId,
  put,
} from '../../../testing/builders';
import { applyOperation } from '../../../registry/operations';
import { aPlan } from '../../../testing/plan-builders';
import { codeOf, minutesLater, sideAt, Works } from '../../../testing/works';
import { problemsOfPlan } from './check-plan';
import { dueSoonOn } from './due-soon';
import type { Plan } from './plan';
import { nextOn } from './rule';
import { workIdOf } from './plan-work';

const DAY = 24 * 60;
const day = (text: string): LocalDay => text as LocalDay;
const procedureId = asId<ProcedureId>('procedure');

/** A works with a plan, whose procedure has one step and one hazard. */
function worksWith(plan: Partial<Plan> = {}): Works {
  const works = new Works();
  const hazards = [{ hazard: 'Hot oil', control: 'Let it cool' }];
  const steps = [{ text: 'Oil changed', question: { type: 'tick' as const }, under: null, when: null }];
  works.records.change([
    put('procedures', aProcedure({ id: procedureId, steps, hazards })),
    put('plans', aPlan({ procedureId, startsOn: day('2026-11-30'), ...plan })),
  ]);
  return works;
}

const planOf = (works: Works): Plan => {
  const plan = works.records.peek('plans', aPlan().id);
  if (plan === undefined) throw new Error('There is no plan.');
  return plan;
};
const along = (occurrence = 1, number: string | null = 'W-900') => ({
  planId: aPlan().id,
  occurrence,
  dueOn: day('2026-11-30'),
  number,
});
const first = workIdOf(aPlan(), 1);

describe('taking along what is due soon', () => {
  it('makes its work order once, with steps and hazards, for the person', async () => {
    const works = worksWith();
    expect(codeOf(await works.do('plan.take-along', along()))).toBe('accepted');
    const work = works.records.peek('workOrders', first);
    expect(work).toMatchObject({
      number: 'W-900',
      title: 'Oil change',
      personIds: [ann.id],
      dueAt: timeOfDay(day('2026-11-30'), 960, 'Europe/Vienna'),
    });
    expect(work?.hazards).toMatchObject([{ hazard: 'Hot oil' }]);
    expect(works.records.peekList('steps', 'workOrder', first)).toMatchObject([{ text: 'Oil changed' }]);
    expect(planOf(works)).toMatchObject({ made: 1, open: { workOrderId: first } });
    // A mate who took it along without knowing is on it too.
    expect(codeOf(await works.do('plan.take-along', along(1, 'W-901'), bob))).toBe('accepted');
    expect(works.records.peek('workOrders', first)?.personIds).toEqual([ann.id, bob.id]);
    expect(works.records.peekList('workOrders', 'number', 'W-901')).toEqual([]);
  });

  it('is due when its plan says so, whatever the phone says', async () => {
    const works = worksWith();
    expect(codeOf(await works.do('plan.take-along', { ...along(), dueOn: day('2199-12-31') }))).toBe('accepted');
    expect(planOf(works).open?.dueOn).toBe('2026-11-30');
    expect(works.records.peek('workOrders', first)?.plan?.dueOn).toBe('2026-11-30');
  });

  it('is due as its person saw it on a phone that cannot find the dates yet, and leaves the bound of its plan to the server', async () => {
    const { records } = worksWith();
    const phone = { ...sideAt(noon), nextOn: null };
    const seen = anOperation('plan.take-along', { ...along(), dueOn: day('2026-12-03') });
    records.change((await applyOperation(records, seen, ann, phone)).changes);
    expect(records.peek('workOrders', first)?.plan?.dueOn).toBe('2026-12-03');
    const args = { workOrderId: first, until: day('2028-01-01'), reason: 'No boat' };
    const far = anOperation('work.put-off', args);
    expect((await applyOperation(records, far, ann, phone)).outcome).toEqual({ ok: true });
    expect((await applyOperation(records, far, ann, sideAt(noon))).outcome).toMatchObject({ code: 'beyond_plan' });
  });

  it('is refused for a plan of elsewhere, a time that is not its next, a number that is taken, and one that is over', async () => {
    const works = worksWith();
    const stranger = { ...ann, siteIds: [] };
    expect(codeOf(await works.do('plan.take-along', along(), stranger))).toBe('not_found');
    expect(codeOf(await works.do('plan.take-along', along(3)))).toBe('not_found');
    expect(codeOf(await works.do('plan.take-along', { ...along(), planId: asId<PlanId>('none') }))).toBe('not_found');
    expect(codeOf(await works.do('plan.take-along', along(1, works.work?.number ?? '')))).toBe('number_taken');
    await works.do('plan.take-along', along());
    expect(codeOf(await works.do('plan.take-along', along(2)))).toBe('not_found');
    const id = { workOrderId: first };
    expect(codeOf(await works.do('work.drop', { ...id, reason: 'Not now' }, lea))).toBe('accepted');
    expect(codeOf(await works.do('plan.take-along', along(), bob))).toBe('planned_work_over');
  });
});

describe('a plan', () => {
  /** Its work is done so many days after noon, by somebody who owes nothing. */
  async function finish(works: Works, workOrderId: WorkOrderId, days: number): Promise<string> {
    const at = minutesLater(days * DAY);
    await works.do('work.start', { workOrderId }, ann, at);
    return codeOf(await works.do('work.finish', { workOrderId }, ann, at));
  }

  it('goes on from when its work was done, and no more while that was handed back', async () => {
    const works = worksWith({ procedureId: null });
    await works.do('plan.take-along', along());
    const settings = works.records.peek('settings', 'settings');
    if (settings !== undefined)
      works.records.change([
        put('settings', { ...settings, owed: { ...settings.owed, preventive: { steps: false, time: false } } }),
      ]);
    expect(await finish(works, first, 10)).toBe('accepted');
    expect(planOf(works)).toMatchObject({
      open: null,
      last: { dueOn: '2026-11-30', endedOn: '2026-12-03', was: 'done' },
    });
    await works.do('work.hand-back', { workOrderId: first, reason: 'Filter too' }, lea, minutesLater(11 * DAY));
    expect(planOf(works).open).toEqual({ workOrderId: first, dueOn: '2026-11-30' });
    expect(await finish(works, first, 12)).toBe('accepted');
    expect(planOf(works)).toMatchObject({ open: null, made: 1, last: { endedOn: '2026-12-05' } });
  });

  it('goes on from the day of the work where that is typed later', async () => {
    const works = worksWith({ procedureId: null });
    await works.do('plan.take-along', along());
    const settings = works.records.peek('settings', 'settings');
    if (settings !== undefined)
      works.records.change([
        put('settings', { ...settings, owed: { ...settings.owed, preventive: { steps: false, time: false } } }),
      ]);
    const at = minutesLater(10 * DAY);
    await works.do('work.start', { workOrderId: first }, ann, at);
    const done = { workOrderId: first, doneOn: '2026-12-01' as never };
    expect(codeOf(await works.do('work.finish', done, ann, at))).toBe('accepted');
    expect(planOf(works)).toMatchObject({ last: { dueOn: '2026-11-30', endedOn: '2026-12-01', was: 'done' } });
  });

  it('notes what its meters showed when the work was done', async () => {
    const triggers = [{ kind: 'meter' as const, pointId, every: 500, from: 0 }];
    const works = worksWith({ procedureId: null, triggers });
    const latest = [
      { at: noon, value: 100 },
      { at: minutesLater(DAY), value: 110 },
    ];
    works.records.change([put('points', aPoint({ isMeter: true, latest }))]);
    await works.do('plan.take-along', along());
    await works.do('work.drop', { workOrderId: first, reason: 'No oil' }, lea, minutesLater(2 * DAY));
    expect(planOf(works).last).toMatchObject({ was: 'dropped', meters: { [pointId]: 120 } });
  });
});

describe('what else is due soon on a machine', () => {
  it('is on it, its parts and what it is part of, open or not; what is far off is left out', () => {
    const plans = [
      aPlan({ id: asId<never>('own'), startsOn: day('2026-12-01') }),
      aPlan({ id: asId<never>('part'), assetId: asId<never>('seal'), startsOn: day('2026-11-20') }),
      aPlan({ id: asId<never>('whole'), assetId: asId<never>('lift'), startsOn: day('2026-11-25') }),
      aPlan({ id: asId<never>('other'), assetId: asId<never>('pump') }),
      aPlan({ id: asId<never>('far'), startsOn: day('2027-02-01') }),
      aPlan({ id: asId<never>('open'), open: { workOrderId: first, dueOn: day('2026-11-25') } }),
    ];
    const assets = new Map(
      [
        anAsset({ parentId: asId<never>('lift') }),
        anAsset({ id: asId<never>('seal'), parentId: assetId }),
        anAsset({ id: asId<never>('lift') }),
        anAsset({ id: asId<never>('pump'), parentId: asId<never>('lift') }),
      ].map((asset) => [asset.id as string, asset]),
    );
    const soon = dueSoonOn(plans, assets, assetId, {
      today: day('2026-11-23'),
      zone: 'utc',
      pointOf: () => undefined,
      nextOn,
    });
    expect(soon.map(({ plan }) => plan.id)).toEqual(['part', 'whole', 'open', 'own']);
    expect(soon.map(({ due }) => due?.by)).toEqual(['completion', 'completion', undefined, 'completion']);
  });
});

describe('a plan that cannot be', () => {
  const dates = (rule: string) => ({ triggers: [{ kind: 'dates' as const, rule, from: day('2026-01-01') }] });
  it.each<[string, Partial<Plan>, RegExp]>([
    ['a 30 February', dates('FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30'), /never comes/],
    ['every minute', dates('FREQ=MINUTELY'), /more than once a day/],
    ['no rule', dates('now and then'), /not a rule of dates/],
    ['no trigger', { triggers: [] }, /what makes it due/],
    ['nothing between', { triggers: [{ kind: 'completion', every: 0, unit: 'day' }] }, /comes round after/],
    ['what is no meter', { triggers: [{ kind: 'meter', pointId, every: 5, from: 0 }] }, /meter is not there/],
    ['no machine', { assetId: asId<never>('gone') }, /machine is not there/],
    ['a whole idle year', { idle: [{ from: '01-01', to: '12-31' }] }, /nothing runs/],
    ['no procedure', { procedureId: asId<ProcedureId>('gone') }, /procedure is not there/],
    ['no time of the day', { dueMinutes: 1_440 }, /time of the day/],
    ['years ahead', { leadDays: 1_000 }, /366 days/],
    ['no day', { startsOn: day('2026-02-30') }, /calendar/],
  ])('says so: %s', async (_, given, problem) => {
    const works = worksWith();
    works.records.change([put('points', aPoint({ isMeter: false }))]);
    const problems = await problemsOfPlan(aPlan(given), works.records);
    expect(problems.join(' ')).toMatch(problem);
  });

  it('is one on a machine that is retired; a good one has nothing wrong', async () => {
    const works = worksWith();
    expect(
      await problemsOfPlan(
        aPlan({ triggers: [{ kind: 'dates', rule: 'FREQ=WEEKLY', from: day('2026-01-01') }] }),
        works.records,
      ),
    ).toEqual([]);
    works.records.change([put('assets', anAsset({ retiredOn: day('2026-10-01') }))]);
    expect((await problemsOfPlan(aPlan(), works.records)).join(' ')).toMatch(/retired/);
  });
});

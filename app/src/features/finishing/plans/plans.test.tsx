import { addDays, asId, type LocalDay, type PlanId, type WorkOrderId } from '@oilcan/core/kernel';
import type { Plan } from '@oilcan/core/finishing/plans';
import {
  ann,
  anAsset,
  aPlan,
  aPoint,
  aWorkOrder,
  bob,
  lea,
  pointId,
  put,
  smallWorks,
  workId,
} from '@oilcan/core/testing';
import { perform } from '../../../data/store/store';
import { press, words } from '../../../testing/hands';
import { visited } from '../../../testing/router';
import { OnWork, TestWorks } from '../../../testing/works';
import { FinishSheet } from '../lifecycle';
import { DueSoonLines, NextDueLine } from '.';

let works: TestWorks;
afterEach(() => works.close());

const today = '2026-11-23' as LocalDay;
const planId = asId<PlanId>('plan');
const ofPlan = { planId, occurrence: 1, dueOn: today };

describe('what else is due soon on the machine', () => {
  const prepare = async (...plans: Plan[]): Promise<void> => {
    const other = aWorkOrder({ id: asId<WorkOrderId>('other-1'), number: 'W-77', personIds: [bob.id] });
    works = await TestWorks.open([
      ...smallWorks({ state: 'underway' }),
      put('workOrders', other),
      ...plans.map((plan) => put('plans', plan)),
    ]);
    await works.show(<OnWork>{(work) => <DueSoonLines work={work} />}</OnWork>);
  };

  it('stands there with when, and one press puts it on the own list', async () => {
    await prepare(aPlan({ startsOn: addDays(today, 12) }));
    expect(words()).toContain('Oil change');
    expect(words()).toContain('due Sat 5 Dec, 1 h');
    await press(/^Do it too/);
    const records = await works.sent();
    const made = records.peek('workOrders', 'plan-1');
    expect(made).toMatchObject({ personIds: [ann.id], plan: { planId, occurrence: 1, dueOn: '2026-12-05' } });
    expect(words()).toContain(`${made?.number ?? ''}, ready`);
    await press(`Open ${made?.number ?? ''} ${made?.title ?? ''}`);
    expect(visited.at(-1)).toBe('/shift/plan-1');
  });

  it('says who has it where it is open already, and says nothing where nothing is due', async () => {
    const open = { workOrderId: asId<WorkOrderId>('other-1'), dueOn: today };
    await prepare(aPlan({ made: 1, open }), aPlan({ id: asId<PlanId>('far'), startsOn: addDays(today, 200) }));
    expect(words()).toContain('W-77, ready');
    expect(words()).not.toContain('Do it too');
    expect(words().match(/Oil change/g)).toHaveLength(1);
  });
});

describe('when planned work comes round again', () => {
  const finishing = async (plan: Partial<Plan>): Promise<void> => {
    works = await TestWorks.open([
      ...smallWorks({ state: 'underway', kind: 'improvement', plan: ofPlan }),
      put('plans', aPlan({ made: 1, open: { workOrderId: workId, dueOn: today }, ...plan })),
      put('assets', anAsset()),
      put(
        'points',
        aPoint({
          isMeter: true,
          latest: [0, 100, 180, 300, 400].map((value, index) => ({
            at: `2026-${String(7 + index).padStart(2, '0')}-01T00:00:00.000Z` as never,
            value,
          })),
        }),
      ),
    ]);
  };

  it('is said before it is finished, and after', async () => {
    await finishing({});
    await works.show(
      <OnWork>{(work) => <FinishSheet work={work} entries={[]} asked={[]} onClose={jest.fn()} />}</OnWork>,
    );
    expect(words()).toContain('Done today, it is due again Tue 23 Feb 2027, counted from when it was done.');
    await press('Yes, it is done');
    expect((await works.sent()).peek('plans', planId)).toMatchObject({
      open: null,
      last: { endedOn: today, was: 'done' },
    });
    await works.show(<OnWork>{(work) => <NextDueLine work={work} />}</OnWork>);
    expect(words()).toContain('Next: Tue 23 Feb 2027');
  });

  it('is about a day, with how far it may be off, where a meter makes it due', async () => {
    await finishing({ triggers: [{ kind: 'meter', pointId, every: 300, from: 0 }] });
    await works.show(<OnWork>{(work) => <NextDueLine work={work} />}</OnWork>);
    expect(words()).toMatch(/due again about \w{3} \d+ \w{3}( 2027)? \(.+ to .+\), by its meter\./);
  });

  it('is not said of a plan that this phone does not have', async () => {
    works = await TestWorks.open(smallWorks({ state: 'underway', plan: ofPlan }), lea);
    await perform('note.add', { workOrderId: workId, text: 'Started' });
    await works.show(<OnWork>{(work) => <NextDueLine work={work} />}</OnWork>);
    expect(words()).toBe('');
  });
});

import fc from 'fast-check';
import { asId, type WorkOrderId } from '../../../kernel/ids';
import { addMinutes } from '../../../kernel/time/instant';
import {
  ann,
  anOperation,
  aPart,
  aRaise,
  aWorkOrder,
  binId,
  bob,
  lea,
  noon,
  partId,
  put,
} from '../../../testing/builders';
import { someRules } from '../../../testing/report-builders';
import { codeOf, Works } from '../../../testing/works';
import { urgencies, workKinds } from '../../orders/work/work-order';
import { waitsForLead, type GoAheadRule } from '../../orders/raise-rules/raise-rules';
import { waitsForGoAhead } from '../../orders/work/waits-for-go-ahead';

const rule: GoAheadRule = { kinds: ['improvement'], aboveMinor: 20_000, minorPerHour: 6_000 };
const worksWith = (goAhead: GoAheadRule = rule): Works => {
  const works = new Works();
  works.records.change([put('raiseRules', someRules({ goAhead }))]);
  return works;
};
const raised = async (works: Works, given: Parameters<typeof aRaise>[0], by = ann) => {
  const operation = anOperation('work.raise', aRaise({ personIds: [by.id], ...given }), { by: by.id });
  expect(codeOf(await works.send(operation, by))).toBe('accepted');
  return asId<WorkOrderId>(operation.id);
};
const waits = (works: Works, id: WorkOrderId): boolean => {
  const work = works.records.peek('workOrders', id);
  return work !== undefined && waitsForGoAhead(work);
};

describe('raised work', () => {
  it('waits for a lead by its kind, or by what it is expected to cost with its kit', async () => {
    const works = worksWith();
    expect(waits(works, await raised(works, { kind: 'improvement' }))).toBe(true);
    expect(waits(works, await raised(works, { estimateMinutes: 180 }))).toBe(false);
    // Three hours at 60 euros are 180 euros; with two seals at 12.50 it is above 200.
    const kit = [{ partId, binId, quantity: 2_000, unit: null }];
    works.records.change([
      put('parts', { ...(works.records.peek('parts', partId) as never as object), priceMinor: 1_250 } as never),
    ]);
    expect(waits(works, await raised(works, { estimateMinutes: 180, kit }))).toBe(true);
  });

  it('costs by the amount in the unit of the part: 500 mL at 9.50 a litre are 4.75', async () => {
    const works = worksWith({ ...rule, aboveMinor: 1_000 });
    const oil = { ...aPart(), unit: 'L', isWhole: false, priceMinor: 950 };
    works.records.change([put('parts', oil)]);
    const kit = (quantity: number, unit: string) => [{ partId, binId, quantity, unit }];
    const raise = (quantity: number, unit: string) => raised(works, { estimateMinutes: 0, kit: kit(quantity, unit) });
    expect(waits(works, await raise(500_000, 'mL'))).toBe(false);
    expect(waits(works, await raise(1_100_000, 'mL'))).toBe(true);
    // What cannot be brought into its unit is not said to be cheap.
    expect(waits(works, await raise(1_000, 'kg'))).toBe(true);
  });

  it('does not wait where it is urgent now, a lead raised it, it is done already, or the site has no rule', async () => {
    const works = worksWith();
    expect(waits(works, await raised(works, { kind: 'improvement', urgency: 'now' }))).toBe(false);
    expect(waits(works, await raised(works, { kind: 'improvement' }, lea))).toBe(false);
    expect(waits(works, await raised(works, { kind: 'improvement', isDone: true }))).toBe(false);
    const free = new Works();
    expect(waits(free, await raised(free, { kind: 'improvement', estimateMinutes: 6_000 }))).toBe(false);
  });

  it('cannot be started before, and can once a lead lets it, several at once', async () => {
    const works = worksWith();
    const [one, other] = [await raised(works, { kind: 'improvement' }), await raised(works, { kind: 'improvement' })];
    expect(codeOf(await works.do('clock.start', { workOrderId: one }))).toBe('waits_for_go_ahead');
    expect(codeOf(await works.do('work.start', { workOrderId: one }))).toBe('waits_for_go_ahead');
    expect(codeOf(await works.do('work.let-start', { workOrderIds: [one] }, bob))).toBe('role_missing');
    expect(codeOf(await works.do('work.let-start', { workOrderIds: [one, other] }, lea))).toBe('accepted');
    expect([waits(works, one), waits(works, other)]).toEqual([false, false]);
    expect(codeOf(await works.do('clock.start', { workOrderId: one }))).toBe('accepted');
  });

  it('that becomes urgent waits no more', async () => {
    const works = worksWith();
    const id = await raised(works, { kind: 'improvement' });
    await works.do('work.set-urgency', { workOrderId: id, urgency: 'now', reason: 'It got worse' });
    expect(codeOf(await works.do('clock.start', { workOrderId: id }))).toBe('accepted');
  });

  it('keeps who let it start when they are asked again', async () => {
    const works = worksWith();
    works.records.change([put('workOrders', aWorkOrder({ goAhead: { since: noon, givenBy: lea.id } }))]);
    const tess = { ...lea, id: asId<typeof lea.id>('tess') };
    await works.do('work.let-start', { workOrderIds: [aWorkOrder().id] }, tess);
    expect(works.work?.goAhead?.givenBy).toBe(lea.id);
  });
});

it('never makes wait what is urgent now, and costs only add to it', () =>
  fc.assert(
    fc.property(
      fc.constantFrom(...workKinds),
      fc.constantFrom(...urgencies),
      fc.nat(10_000),
      fc.nat(100_000),
      (kind, urgency, estimateMinutes, kitMinor) => {
        const work = { kind, urgency, estimateMinutes, kitMinor };
        if (urgency === 'now') expect(waitsForLead(rule, work)).toBe(false);
        if (waitsForLead(rule, work)) expect(waitsForLead(rule, { ...work, kitMinor: kitMinor + 1 })).toBe(true);
      },
    ),
  ));

describe('when raised work is due', () => {
  it.each([
    ['now', 4],
    ['shift', 12],
    ['week', 7 * 24],
    ['free', null],
  ] as const)('%s: %s hours after it was raised, where nobody chose', async (urgency, hours) => {
    const works = worksWith();
    const work = works.records.peek('workOrders', await raised(works, { urgency, dueAt: null }));
    expect(work?.dueAt).toBe(hours === null ? null : addMinutes(noon, hours * 60));
  });

  it('is as its site wants it, or as somebody said, and never of what is done already', async () => {
    const works = new Works();
    works.records.change([put('raiseRules', someRules({ dueWithin: { now: 1, shift: 2, week: 3, free: 48 } }))]);
    const dueOf = async (given: Parameters<typeof aRaise>[0]) =>
      works.records.peek('workOrders', await raised(works, { urgency: 'free', dueAt: null, ...given }))?.dueAt;
    expect(await dueOf({})).toBe(addMinutes(noon, 48 * 60));
    expect(await dueOf({ dueAt: addMinutes(noon, 60) })).toBe(addMinutes(noon, 60));
    expect(await dueOf({ isDone: true })).toBeNull();
  });

  it('stays as a lead chose it when a phone that does not know of it sets the rules', async () => {
    const works = new Works();
    const dueWithin = { now: 1, shift: 2, week: 3, free: null };
    works.records.change([put('raiseRules', someRules({ dueWithin }))]);
    const { id: _id, dueWithin: _due, ...rules } = someRules();
    expect(codeOf(await works.send(anOperation('raise-rules.set', rules, { by: lea.id }), lea))).toBe('accepted');
    expect(works.records.peek('raiseRules', rules.siteId)?.dueWithin).toEqual(dueWithin);
  });
});

describe('work that nobody has', () => {
  const takeOn = async (works: Works, workOrderId: WorkOrderId, by: typeof ann) =>
    codeOf(await works.send(anOperation('work.take-on', { workOrderId }, { by: by.id }), by));
  const nobodys = { personIds: [], crewId: null };

  it('may be begun by whoever raised it, and by other technicians where the site says so', async () => {
    const works = worksWith({ ...rule, kinds: [] });
    const mine = await raised(works, nobodys);
    expect(works.records.peek('workOrders', mine)?.raisedBy).toBe(ann.id);
    expect(await takeOn(works, mine, bob)).toBe('work_order_not_yours');
    expect(await takeOn(works, mine, ann)).toBe('accepted');
    expect(works.records.peek('workOrders', mine)?.personIds).toEqual([ann.id]);
    expect(await takeOn(works, mine, ann)).toBe('accepted');
    expect(await takeOn(works, mine, lea)).toBe('work_order_not_yours');
    const other = await raised(works, nobodys);
    works.records.change([put('raiseRules', someRules({ technicianTakesUp: true }))]);
    expect(await takeOn(works, other, bob)).toBe('accepted');
  });

  it('is over, or on another site, and is not taken on', async () => {
    const works = worksWith();
    const dropped = { id: asId<WorkOrderId>('gone'), ...nobodys, raisedBy: ann.id, state: 'dropped' as const };
    works.records.change([put('workOrders', aWorkOrder(dropped))]);
    expect(await takeOn(works, dropped.id, ann)).toBe('work_order_closed');
    expect(await takeOn(works, asId<WorkOrderId>('nowhere'), ann)).toBe('not_found');
  });
});

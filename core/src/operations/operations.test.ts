import fc from 'fast-check';
import { asId, type EntryId, type PointId, type WorkOrderId } from '../ids/ids';
import type { MemoryRecords } from '../records/memory-records';
import { onHandAfter, stockLevelId } from '../stock/stock';
import {
  aCrew, anOperation, ann, aPart, aPoint, aStep, aWorkOrder, binId, bob, lea, noon, otherSite, partId, pointId, put, smallWorks, workId,
} from '../testing/builders';
import { memoryWith } from '../testing/records-conformance';
import { addMinutes, parseInstant } from '../time/instant';
import { standingOf } from '../work/entries';
import type { Step } from '../work/steps';
import type { WorkOrder } from '../work/work-order';
import { applyOperation } from './apply';
import type { Operation, Outcome } from './operation';
import type { ArgsOf, OperationName } from './registry';

const minutesLater = (minutes: number): string => addMinutes(noon, minutes);

/** A works on which people do things one after the other; each gives its outcome. */
class Works {
  readonly records: MemoryRecords;

  constructor(work: Partial<WorkOrder> = {}, steps: readonly Step[] = []) {
    this.records = memoryWith(smallWorks(work, steps));
  }

  async send(operation: Operation, by = ann, now = parseInstant(operation.at)): Promise<Outcome> {
    const { outcome, changes } = await applyOperation(this.records, operation, by, now);
    this.records.change(changes);
    return outcome;
  }

  do<N extends OperationName>(name: N, args: ArgsOf<N>, by = ann, at: string = noon): Promise<Outcome> {
    return this.send(anOperation(name, args, { by: by.id, at }), by);
  }

  get work(): WorkOrder | undefined {
    return this.records.peek('workOrders', workId);
  }

  get entries() {
    return this.records.peekList('entries', 'workOrder', workId);
  }

  get onHand(): number | undefined {
    return this.records.peek('stock', stockLevelId(partId, binId))?.onHand;
  }
}

const codeOf = (outcome: Outcome): string => (outcome.ok ? 'accepted' : outcome.code);
const onWork = { workOrderId: workId };
const hazards = [{ id: 'rotating', hazard: 'Drive starts', precaution: 'Lock out' }];
const laborOf = (minutes: number, startedAt = minutesLater(-120)) => ({ ...onWork, personId: ann.id, startedAt, minutes, timeType: 'regular' as const }) as ArgsOf<'labor.add'>;

describe('hazards', () => {
  it('must be acknowledged by each person before anything counts as work', async () => {
    const works = new Works({ hazards, personIds: [ann.id, bob.id] }, [aStep(1)]);
    expect(codeOf(await works.do('clock.start', onWork))).toBe('hazards_not_acknowledged');
    expect(codeOf(await works.do('step.answer', { ...onWork, stepId: aStep(1).id, answer: { type: 'tick' } }))).toBe('hazards_not_acknowledged');
    expect(codeOf(await works.do('note.add', { ...onWork, text: 'gate is locked' }))).toBe('accepted');
    expect(codeOf(await works.do('work.acknowledge-hazards', { ...onWork, hazardIds: [asId('rotating')] }))).toBe('accepted');
    expect(codeOf(await works.do('clock.start', onWork))).toBe('accepted');
    expect(codeOf(await works.do('clock.start', onWork, bob))).toBe('hazards_not_acknowledged');
  });

  it('are acknowledged as they now stand, all of them', async () => {
    const works = new Works({ hazards });
    for (const hazardIds of [[], ['height'], ['rotating', 'height']]) {
      expect(codeOf(await works.do('work.acknowledge-hazards', { ...onWork, hazardIds: hazardIds.map((id) => asId(id)) }))).toBe('hazards_changed');
    }
  });

  it('must be read again when one is added', async () => {
    const works = new Works({ hazards });
    await works.do('work.acknowledge-hazards', { ...onWork, hazardIds: [asId('rotating')] });
    works.records.change([put('workOrders', aWorkOrder({ hazards: [...hazards, { id: 'height', hazard: 'Fall', precaution: 'Harness' }] }))]);
    expect(codeOf(await works.do('work.start', onWork))).toBe('hazards_not_acknowledged');
  });
});

describe('the clock', () => {
  it('takes up the work, and stopping it records the time with its cost', async () => {
    const works = new Works();
    expect(codeOf(await works.do('clock.start', onWork))).toBe('accepted');
    expect(works.work?.state).toBe('underway');
    expect(codeOf(await works.do('clock.stop', { ...onWork, endedAt: null }, ann, minutesLater(42)))).toBe('accepted');
    expect(works.records.peek('clocks', ann.id)).toBeUndefined();
    expect(standingOf(works.entries, 'labor').map(({ content }) => [content.minutes, content.cost.minor])).toEqual([[42, 4_200]]);
  });

  it('runs on one work order at a time', async () => {
    const works = new Works();
    const other = asId<WorkOrderId>('w-2');
    works.records.change([put('workOrders', aWorkOrder({ id: other, number: 'W-2' }))]);
    await works.do('clock.start', onWork);
    await works.do('clock.start', { workOrderId: other }, ann, minutesLater(30));
    expect(works.records.peek('clocks', ann.id)?.workOrderId).toBe(other);
    expect(standingOf(works.entries, 'labor').map(({ content }) => content.minutes)).toEqual([30]);
  });

  it('goes on when it is started where it runs', async () => {
    const works = new Works();
    await works.do('clock.start', onWork);
    await works.do('clock.start', onWork, ann, minutesLater(10));
    expect(works.records.peek('clocks', ann.id)?.startedAt).toBe(noon);
  });

  it('that was forgotten for over a day asks when it really stopped', async () => {
    const works = new Works();
    await works.do('clock.start', onWork);
    const nextDay = minutesLater(26 * 60);
    expect(codeOf(await works.do('clock.stop', { ...onWork, endedAt: null }, ann, nextDay))).toBe('clock_ran_too_long');
    expect(codeOf(await works.do('clock.stop', { ...onWork, endedAt: minutesLater(-5) as never }, ann, nextDay))).toBe('labor_not_positive');
    expect(codeOf(await works.do('clock.stop', { ...onWork, endedAt: minutesLater(240) as never }, ann, nextDay))).toBe('accepted');
  });

  it('of nobody cannot be stopped', async () => {
    expect(codeOf(await new Works().do('clock.stop', { ...onWork, endedAt: null }))).toBe('clock_not_running');
  });

  it('resumes held work', async () => {
    const works = new Works({ state: 'held', held: { reason: 'part', note: '' } });
    await works.do('clock.start', onWork);
    expect(works.work).toMatchObject({ state: 'underway', held: null });
  });
});

describe('typed labor', () => {
  it.each([
    [0, 'labor_not_positive'],
    [-30, 'labor_not_positive'],
    [1441, 'labor_too_long'],
    [121.5, 'invalid'],
    [180, 'labor_in_future'],
    [90, 'accepted'],
  ])('of %d minutes, begun two hours ago, is %s', async (minutes, code) => {
    const works = new Works();
    expect(codeOf(await works.do('labor.add', laborOf(minutes)))).toBe(code);
    expect(works.entries.filter((entry) => entry.content.kind === 'labor')).toHaveLength(code === 'accepted' ? 1 : 0);
  });

  it('names the field that is wrong', async () => {
    expect(await new Works().do('labor.add', laborOf(-1))).toMatchObject({ ok: false, field: 'minutes' });
    expect(await new Works().do('labor.add', laborOf(5, 'yesterday'))).toMatchObject({ ok: false, field: 'startedAt' });
  });

  it('can be amended once; the amended one stands', async () => {
    const works = new Works();
    await works.do('labor.add', laborOf(60));
    const entryId = standingOf(works.entries, 'labor')[0]?.id ?? asId<EntryId>('none');
    const amendment = { ...onWork, entryId, startedAt: minutesLater(-120), minutes: 75, timeType: 'overtime' } as ArgsOf<'labor.amend'>;
    expect(codeOf(await works.do('labor.amend', amendment))).toBe('accepted');
    expect(standingOf(works.entries, 'labor').map(({ content }) => content.cost.minor)).toEqual([11_250]);
    expect(codeOf(await works.do('labor.amend', amendment))).toBe('entry_amended_already');
  });
});

describe('parts', () => {
  const use = (quantity: number) => ({ ...onWork, partId, binId, quantity });

  it.each([
    [0, 'quantity_not_positive'],
    [-1_000, 'quantity_not_positive'],
    [500, 'quantity_not_whole'],
    [9_000, 'not_enough_stock'],
    [8_000, 'accepted'],
  ])('%d thousandths of 8 on hand: %s', async (quantity, code) => {
    const works = new Works();
    expect(codeOf(await works.do('part.use', use(quantity)))).toBe(code);
    expect(works.onHand).toBe(code === 'accepted' ? 8_000 - quantity : 8_000);
  });

  it('go back when the entry is withdrawn, and the difference when it is amended', async () => {
    const works = new Works();
    await works.do('part.use', use(3_000));
    const first = standingOf(works.entries, 'part')[0]?.id ?? asId<EntryId>('none');
    expect(codeOf(await works.do('part.amend', { ...onWork, entryId: first, quantity: 9_000 }))).toBe('not_enough_stock');
    expect(codeOf(await works.do('part.amend', { ...onWork, entryId: first, quantity: 8_000 }))).toBe('accepted');
    expect(works.onHand).toBe(0);
    const second = standingOf(works.entries, 'part')[0]?.id ?? asId<EntryId>('none');
    expect(codeOf(await works.do('entry.withdraw', { ...onWork, entryId: second, reason: 'put back' }))).toBe('accepted');
    expect(works.onHand).toBe(8_000);
  });

  it('of litres may be fractions', async () => {
    const works = new Works();
    works.records.change([put('parts', aPart({ unit: 'L', isWhole: false }))]);
    expect(codeOf(await works.do('part.use', use(250)))).toBe('accepted');
  });

  it('leave a stock that is always the sum of its movements, and never below zero', () =>
    fc.assert(
      fc.asyncProperty(fc.array(fc.record({ quantity: fc.integer({ min: -2, max: 6 }), isWithdrawal: fc.boolean() }), { maxLength: 20 }), async (attempts) => {
        const works = new Works();
        for (const { quantity, isWithdrawal } of attempts) {
          const last = standingOf(works.entries, 'part').at(-1);
          if (isWithdrawal && last !== undefined) await works.do('entry.withdraw', { ...onWork, entryId: last.id, reason: 'wrong' });
          else await works.do('part.use', use(quantity * 1_000));
          const movements = works.records.peekList('movements', 'level', stockLevelId(partId, binId));
          expect(works.onHand).toBe(onHandAfter(movements));
          expect(works.onHand).toBeGreaterThanOrEqual(0);
        }
      }),
      { numRuns: 40 },
    ));
});

describe('readings', () => {
  it('carry their level, and the newest five stay at the point', async () => {
    const works = new Works();
    for (const [index, value] of [70, 76, 86, 60, 61, 62].entries()) {
      expect(codeOf(await works.do('reading.add', { ...onWork, pointId, value }, ann, minutesLater(index)))).toBe('accepted');
    }
    expect(standingOf(works.entries, 'reading').map(({ content }) => content.level).slice(0, 3)).toEqual(['normal', 'alert', 'alarm']);
    expect(works.records.peek('points', pointId)?.latest.map(({ value }) => value)).toEqual([76, 86, 60, 61, 62]);
  });

  it('of a meter only count up', async () => {
    const works = new Works();
    works.records.change([put('points', aPoint({ isMeter: true, latest: [{ at: noon, value: 100 }] }))]);
    expect(codeOf(await works.do('reading.add', { ...onWork, pointId, value: 99 }, ann, minutesLater(1)))).toBe('meter_runs_back');
    expect(codeOf(await works.do('reading.add', { ...onWork, pointId, value: 100 }, ann, minutesLater(1)))).toBe('accepted');
  });

  it.each([Number.NaN, Number.POSITIVE_INFINITY, 1e13, '70', null])('of %p are refused', async (value) => {
    expect((await new Works().do('reading.add', { ...onWork, pointId, value: value as number })).ok).toBe(false);
  });

  it('want a measuring point that there is', async () => {
    expect(codeOf(await new Works().do('reading.add', { ...onWork, pointId: asId<PointId>('none'), value: 1 }))).toBe('not_found');
  });
});

describe('steps', () => {
  const verdict = aStep(2, { type: 'verdict' });
  const answer = (stepId: Step['id'], value: ArgsOf<'step.answer'>['answer']) => ({ ...onWork, stepId, answer: value });

  it('take the kind of answer they ask for, and can be undone', async () => {
    const works = new Works({}, [aStep(1), verdict]);
    expect(codeOf(await works.do('step.answer', answer(aStep(1).id, { type: 'tick' })))).toBe('accepted');
    expect(works.records.peek('steps', aStep(1).id)?.answer?.by).toBe(ann.id);
    expect(codeOf(await works.do('step.answer', answer(aStep(1).id, null)))).toBe('accepted');
    expect(works.records.peek('steps', aStep(1).id)?.answer).toBeNull();
    expect(codeOf(await works.do('step.answer', answer(verdict.id, { type: 'tick' })))).toBe('answer_of_wrong_kind');
    expect(codeOf(await works.do('step.answer', answer(verdict.id, { type: 'verdict', outcome: 'fixed' })))).toBe('accepted');
    expect(codeOf(await works.do('step.answer', answer(verdict.id, { type: 'verdict', outcome: 'good' as 'ok' })))).toBe('invalid');
  });

  it('of another work order are not found', async () => {
    const elsewhere = aStep(1, { type: 'tick' }, { workOrderId: asId<WorkOrderId>('w-2') });
    expect(codeOf(await new Works({}, [elsewhere]).do('step.answer', answer(elsewhere.id, { type: 'tick' })))).toBe('not_found');
  });
});

describe('notes', () => {
  it.each([
    ['', 'invalid'],
    ['   ', 'invalid'],
    ['x'.repeat(10_001), 'text_too_long'],
    ['x'.repeat(100_000), 'text_too_long'],
    ['bell\u0007', 'control_characters'],
    ['turned \u202e around', 'control_characters'],
    ['two\nlines, ä, 雪, 👷', 'accepted'],
  ])('%#: %s', async (text, code) => {
    const works = new Works();
    expect(codeOf(await works.do('note.add', { ...onWork, text }))).toBe(code);
    expect(works.entries).toHaveLength(code === 'accepted' ? 1 : 0);
  });

  it('say how long they may be', async () => {
    expect(await new Works().do('note.add', { ...onWork, text: 'x'.repeat(10_001) })).toMatchObject({ values: { length: 10_001, limit: 10_000 }, field: 'text' });
  });

  it('are amended by their writer or a lead only', async () => {
    const works = new Works({ personIds: [ann.id, bob.id] });
    await works.do('note.add', { ...onWork, text: 'first' });
    const entryId = works.entries[0]?.id ?? asId<EntryId>('none');
    expect(codeOf(await works.do('note.amend', { ...onWork, entryId, text: 'second' }, bob))).toBe('entry_of_another');
    expect(codeOf(await works.do('note.amend', { ...onWork, entryId, text: 'second' }, lea))).toBe('accepted');
    expect(standingOf(works.entries, 'note').map(({ content }) => content.text)).toEqual(['second']);
  });
});

describe('finishing', () => {
  it('is refused while something is owed, in words', async () => {
    const works = new Works({ state: 'underway' }, [aStep(1), aStep(2)]);
    expect(await works.do('work.finish', onWork)).toMatchObject({ code: 'still_owed', values: { what: '2 steps, the time are' } });
    expect(works.work?.state).toBe('underway');
  });

  it('stops the own clock, and says who finished when', async () => {
    const works = new Works();
    await works.do('clock.start', onWork);
    expect(codeOf(await works.do('work.finish', onWork, ann, minutesLater(30)))).toBe('accepted');
    expect(works.work).toMatchObject({ state: 'finished', finishedBy: ann.id, finishedAt: minutesLater(30) });
    expect(standingOf(works.entries, 'labor')).toHaveLength(1);
    expect(codeOf(await works.do('note.add', { ...onWork, text: 'late' }))).toBe('work_order_closed');
    expect(codeOf(await works.do('work.finish', onWork))).toBe('state_forbids');
  });

  it('is looked at by the lead, who hands it back or accepts it', async () => {
    const works = new Works({ state: 'finished', finishedAt: noon, finishedBy: ann.id });
    expect(codeOf(await works.do('work.accept', onWork))).toBe('role_missing');
    expect(codeOf(await works.do('work.hand-back', { ...onWork, reason: 'meter missing' }, lea))).toBe('accepted');
    expect(works.work).toMatchObject({ state: 'underway', finishedAt: null, handedBack: { reason: 'meter missing', by: lea.id } });
    works.records.change([put('workOrders', aWorkOrder({ state: 'finished' }))]);
    expect(codeOf(await works.do('work.accept', onWork, lea))).toBe('accepted');
    expect(codeOf(await works.do('work.hand-back', { ...onWork, reason: 'again' }, lea))).toBe('state_forbids');
  });
});

describe('holding and dropping', () => {
  it('keeps the reason while it is held', async () => {
    const works = new Works();
    await works.do('clock.start', onWork);
    expect(codeOf(await works.do('work.hold', { ...onWork, reason: 'weather', note: 'storm' }, ann, minutesLater(5)))).toBe('accepted');
    expect(works.work).toMatchObject({ state: 'held', held: { reason: 'weather', note: 'storm' } });
    expect(works.records.peek('clocks', ann.id)).toBeUndefined();
    expect(codeOf(await works.do('work.resume', onWork, ann, minutesLater(6)))).toBe('accepted');
    expect(works.work?.held).toBeNull();
  });

  it('does not drop work under a running clock', async () => {
    const works = new Works();
    await works.do('clock.start', onWork);
    expect(codeOf(await works.do('work.drop', { ...onWork, reason: 'not needed' }, lea))).toBe('still_owed');
    await works.do('clock.stop', { ...onWork, endedAt: null }, ann, minutesLater(5));
    expect(codeOf(await works.do('work.drop', { ...onWork, reason: 'not needed' }, lea))).toBe('accepted');
    expect(works.work?.state).toBe('dropped');
  });
});

describe('who may', () => {
  it.each([
    ['the crew', { personIds: [], crewId: aCrew().id }, bob, 'accepted'],
    ['a lead', { personIds: [] }, lea, 'accepted'],
    ['somebody else', {}, bob, 'work_order_not_yours'],
    ['a person of another site', { siteId: otherSite }, ann, 'not_found'],
  ])('%s', async (_, work, person, code) => {
    const works = new Works(work);
    works.records.change([put('crews', aCrew())]);
    expect(codeOf(await works.do('note.add', { ...onWork, text: 'hello' }, person))).toBe(code);
  });

  it('does not let one person act as another', async () => {
    expect(codeOf(await new Works().send(anOperation('note.add', { ...onWork, text: 'hello' }, { by: bob.id }), ann))).toBe('not_as_another');
  });
});

describe('any operation', () => {
  it.each([
    ['an unknown name', { name: 'work.explode' }, 'operation_unknown'],
    ['a name from the language', { name: 'constructor' }, 'operation_unknown'],
    ['no arguments', { args: null }, 'invalid'],
    ['a list of arguments', { args: [] }, 'invalid'],
    ['an argument too many', { args: { ...onWork, text: 'x', admin: true } }, 'invalid'],
    ['a time that is to come', { at: minutesLater(30) }, 'made_in_future'],
  ])('with %s changes nothing', async (_, given, code) => {
    const works = new Works();
    const outcome = await works.send({ ...anOperation('note.add', { ...onWork, text: 'x' }), ...given }, ann, noon);
    expect(codeOf(outcome)).toBe(code);
    expect(works.entries).toEqual([]);
  });

  it('judged twice on the same rows does the same', async () => {
    const works = new Works({}, [aStep(1)]);
    const operation = anOperation('step.answer', { ...onWork, stepId: aStep(1).id, answer: { type: 'tick' } });
    const once = await applyOperation(works.records, operation, ann, noon);
    const twice = await applyOperation(works.records, operation, ann, noon);
    expect(twice).toEqual(once);
  });
});

describe('a number step at a measuring point', () => {
  const limits = { alarmLow: null, alertLow: null, alertHigh: 75, alarmHigh: 85 };
  const step = aStep(1, { type: 'number', unit: '°C', decimals: 1, limits, pointId });
  const answer = (value: number | null) => ({ ...onWork, stepId: step.id, answer: value === null ? null : ({ type: 'number', value } as const) });

  it('is a reading too, which follows the answer when it is changed or taken back', async () => {
    const works = new Works({}, [step]);
    const readings = () => standingOf(works.entries, 'reading').map(({ content }) => content.value);
    const latest = () => works.records.peek('points', pointId)?.latest.map(({ value }) => value);
    await works.do('step.answer', answer(68));
    expect([readings(), latest()]).toEqual([[68], [68]]);
    await works.do('step.answer', answer(78), ann, minutesLater(1));
    expect([readings(), latest()]).toEqual([[78], [78]]);
    await works.do('step.answer', answer(null), ann, minutesLater(2));
    expect([readings(), latest()]).toEqual([[], []]);
  });

  it('refuses what the meter cannot have shown', async () => {
    const works = new Works({}, [step]);
    works.records.change([put('points', aPoint({ isMeter: true, latest: [{ at: noon, value: 100 }] }))]);
    expect(await works.do('step.answer', answer(99), ann, minutesLater(1))).toMatchObject({ code: 'meter_runs_back', field: 'answer.value' });
  });
});

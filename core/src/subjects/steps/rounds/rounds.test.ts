import fc from 'fast-check';
import { asId, type AssetId, type StopId, type WorkOrderId } from '../../../kernel/ids';
import { ann, anAsset, aStep, aStop, noon, put, workId } from '../../../testing/builders';
import { codeOf, minutesLater, Works } from '../../../testing/works';
import type { StepAnswer } from '../steps/kinds/kinds';
import type { Step } from '../steps/step';
import { dueSteps, roundOf } from './round';
import { inWalkingOrder, type Stop } from './stop';

const onWork = { workOrderId: workId };
const stopIdOf = (number: number): StopId => asId<StopId>(`stop-${number}`);
const stop = (number: number, given: Partial<Stop> = {}): Stop =>
  aStop({ id: stopIdOf(number), position: number, assetId: asId<AssetId>(`asset-${number}`), ...given });
const leftOut: Stop['leftOut'] = { reason: 'No access', by: ann.id, at: noon };

const faulty: StepAnswer = { type: 'finding', asFound: 'faulty', asLeft: 'faulty' };
const putRight: StepAnswer = { type: 'finding', asFound: 'faulty', asLeft: 'putRight' };
const good: StepAnswer = { type: 'finding', asFound: 'good', asLeft: null };
const stepAt = (position: number, stopNumber: number, value: StepAnswer | null = null, given: Partial<Step> = {}) =>
  aStep(
    position,
    { type: 'finding' },
    {
      stopId: stopIdOf(stopNumber),
      answer: value === null ? null : { value, at: noon, by: ann.id, entryId: asId('e') },
      ...given,
    },
  );

describe('how a round stands', () => {
  it('is told by its stops in walking order: what is done, what comes next, what is faulty still', () => {
    const limits = { alarmLow: null, alertLow: null, alertHigh: 30, alarmHigh: 40 };
    const number = { type: 'number', unit: '°C', decimals: 0, limits, pointId: null } as const;
    const warm = stepAt(5, 3, { type: 'number', value: 35 }, { question: number });
    const steps = [stepAt(1, 1, good), stepAt(2, 1, putRight), stepAt(3, 2, faulty), stepAt(4, 2), warm, stepAt(6, 4)];
    const round = roundOf([stop(3), stop(1), stop(2), stop(4, { leftOut })], steps);
    expect(round.stops.map(({ number: each, isDone, progress }) => [each, isDone, progress.done, progress.of])).toEqual(
      [
        [1, true, 2, 2],
        [2, false, 1, 2],
        [3, true, 1, 1],
        [4, true, 0, 1],
      ],
    );
    expect([round.next?.number, round.faulty]).toEqual([2, 1]);
    expect(round.stops.flatMap(({ remarks }) => remarks.map(({ faulty: left, level }) => [left, level]))).toEqual([
      ['putRight', 'normal'],
      ['faulty', 'normal'],
      [null, 'alert'],
    ]);
  });

  it('does not owe what is left out', () => {
    const steps = [stepAt(1, 1), stepAt(2, 2), aStep(3)];
    expect(dueSteps(steps, [stop(1), stop(2, { leftOut })]).map(({ id }) => id)).toEqual([aStep(1).id, aStep(3).id]);
  });
});

function walked(...stops: readonly Stop[]): Works {
  const works = new Works(
    {},
    stops.map((each, index) => stepAt(index + 1, index + 1, null, { stopId: each.id })),
  );
  works.records.change(stops.map((each) => put('stops', each)));
  return works;
}
const order = (works: Works): string[] =>
  inWalkingOrder(works.records.peekList('stops', 'workOrder', workId)).map(({ id }) => id.slice(-1));

describe('a stop', () => {
  it('that is put off comes last, and again nothing changes', async () => {
    const works = walked(stop(1), stop(2), stop(3));
    await works.do('stop.put-off', { ...onWork, stopId: stopIdOf(1) });
    expect(order(works)).toEqual(['2', '3', '1']);
    await works.do('stop.put-off', { ...onWork, stopId: stopIdOf(1) });
    expect([order(works), works.entries.length]).toEqual([['2', '3', '1'], 1]);
  });

  it('is left out with a reason, owes nothing then, and is taken up again', async () => {
    const works = walked(stop(1), stop(2));
    expect(codeOf(await works.do('stop.leave-out', { ...onWork, stopId: stopIdOf(1), reason: ' ' }))).toBe('invalid');
    expect(codeOf(await works.do('stop.leave-out', { ...onWork, stopId: stopIdOf(1), reason: 'Ice' }))).toBe(
      'accepted',
    );
    expect(works.records.peek('stops', stopIdOf(1))?.leftOut?.reason).toBe('Ice');
    await works.do('step.answer', { ...onWork, stepId: aStep(2).id, answer: good });
    await works.do('clock.start', onWork);
    expect(codeOf(await works.do('work.finish', onWork, ann, minutesLater(5)))).toBe('accepted');
    const again = walked(stop(1, { leftOut }));
    await again.do('stop.take-up', { ...onWork, stopId: stopIdOf(1) });
    expect(again.records.peek('stops', stopIdOf(1))?.leftOut).toBeNull();
  });

  it('of another work order is not found', async () => {
    const works = walked(stop(1, { workOrderId: asId<WorkOrderId>('other') }));
    expect(codeOf(await works.do('stop.put-off', { ...onWork, stopId: stopIdOf(1) }))).toBe('not_found');
  });

  it('has its answers and its added steps on its own machine', async () => {
    const works = walked(stop(1), stop(2));
    works.records.change([put('assets', anAsset({ id: asId<AssetId>('asset-2') }))]);
    await works.do('step.answer', { ...onWork, stepId: aStep(2).id, answer: good });
    expect(works.entries.map(({ assetId }) => assetId)).toContain('asset-2');
    const steps = [{ text: 'Look', question: { type: 'tick' }, under: null, when: null }] as const;
    await works.do('steps.add', { ...onWork, procedureId: null, steps, stopId: stopIdOf(2) });
    const added = works.records.peekList('steps', 'workOrder', workId).find(({ text }) => text === 'Look');
    expect(added?.stopId).toBe(stopIdOf(2));
    expect(
      codeOf(await works.do('steps.add', { ...onWork, procedureId: null, steps, stopId: asId<StopId>('none') })),
    ).toBe('not_found');
  });
});

describe('a round that is turned around', () => {
  it('is walked from its other end, once, whoever else turned it', async () => {
    const works = walked(stop(1), stop(2), stop(3));
    const turn = (number: number) => works.do('round.turn', { ...onWork, firstStopId: stopIdOf(number) });
    expect(codeOf(await turn(2))).toBe('stop_not_an_end');
    expect(codeOf(await turn(3))).toBe('accepted');
    expect(codeOf(await turn(3))).toBe('accepted');
    expect(order(works)).toEqual(['3', '2', '1']);
    await turn(1);
    expect(order(works)).toEqual(['1', '2', '3']);
  });

  it('loses and doubles no stop, whatever is done in whatever order', async () => {
    const deed = fc.record({ what: fc.constantFrom('putOff', 'leaveOut', 'takeUp', 'turn'), at: fc.nat({ max: 4 }) });
    await fc.assert(
      fc.asyncProperty(fc.array(deed, { maxLength: 12 }), async (deeds) => {
        const works = walked(...[1, 2, 3, 4, 5].map((number) => stop(number)));
        for (const { what, at } of deeds) {
          const stopId = stopIdOf(at + 1);
          if (what === 'putOff') await works.do('stop.put-off', { ...onWork, stopId });
          if (what === 'leaveOut') await works.do('stop.leave-out', { ...onWork, stopId, reason: 'Ice' });
          if (what === 'takeUp') await works.do('stop.take-up', { ...onWork, stopId });
          if (what === 'turn') await works.do('round.turn', { ...onWork, firstStopId: stopId });
        }
        expect(order(works).sort()).toEqual(['1', '2', '3', '4', '5']);
        const standing = works.records.peekList('steps', 'workOrder', workId);
        const { stops, next } = roundOf(works.records.peekList('stops', 'workOrder', workId), standing);
        expect(stops.map(({ number }) => number)).toEqual([1, 2, 3, 4, 5]);
        expect(next === null || !next.isDone).toBe(true);
      }),
      { numRuns: 60 },
    );
  });
});

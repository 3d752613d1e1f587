import { tables } from '../../../registry/tables';
import type { PersonId } from '../../../kernel/ids';
import { applyOperation } from '../../../registry/operations';
import { MemoryRecords } from '../../../records/memory-records';
import { ann, anOperation, bob, lea, noon, smallWorks, workId } from '../../../testing/builders';
import { addMinutes } from '../../../kernel/time/instant';
import type { Person } from '../../plant/people/people';
import { isolationOf } from './isolation';
import type { IsolationAct } from './isolation-entries';
import type { IsolationPoint } from '../work/work-order';
import { sideAt } from '../../../testing/works';

const sw: IsolationPoint = {
  id: 'sw',
  energy: 'electrical',
  device: 'Main switch Q1',
  release: null,
  test: 'Try to start',
};
const valve: IsolationPoint = {
  id: 'valve',
  energy: 'hydraulic',
  device: 'Valve V3',
  release: 'Open the drain',
  test: 'Gauge at zero',
};
const points = [sw, valve];

let records: MemoryRecords;
beforeEach(() => {
  records = new MemoryRecords(tables);
  records.change(smallWorks({ isolation: points, personIds: [ann.id, bob.id], state: 'underway' }));
});

/** Does it so many minutes after noon; gives `accepted` or the code of the refusal. */
async function act(
  what: IsolationAct,
  pointId: string | null,
  minutes: number,
  who: Person = ann,
  given: { ofPersonId?: PersonId; reason?: string } = {},
): Promise<string> {
  const at = addMinutes(noon, minutes);
  const args = {
    workOrderId: workId,
    act: what,
    pointId,
    ofPersonId: given.ofPersonId ?? null,
    reason: given.reason ?? '',
  };
  const operation = anOperation('isolation.record', args, { at, by: who.id });
  const { outcome, changes } = await applyOperation(records, operation, who, sideAt(at));
  records.change(changes);
  return outcome.ok ? 'accepted' : outcome.code;
}

const standing = async () => isolationOf(points, await records.list('entries', 'workOrder', workId));
const lockOutAll = async (): Promise<void> => {
  await act('shutDown', null, 1);
  await act('lock', 'sw', 2);
  await act('lock', 'valve', 3);
  await act('release', 'valve', 4);
  await act('test', 'sw', 5);
  await act('test', 'valve', 6);
};

// OSHA 29 CFR 1910.147(d)(2) to (6): shut down, isolate and lock, release stored energy, verify.
describe('locking out', () => {
  it('goes in its order and in no other', async () => {
    expect(await act('lock', 'sw', 1)).toBe('isolation_out_of_order');
    expect(await act('test', 'sw', 1)).toBe('isolation_out_of_order');
    await act('shutDown', null, 2);
    expect(await act('release', 'valve', 3)).toBe('isolation_out_of_order');
    await act('lock', 'sw', 3);
    expect(await act('test', 'sw', 4)).toBe('isolation_out_of_order');
    await act('lock', 'valve', 4);
    expect(await act('test', 'sw', 5)).toBe('isolation_out_of_order');
    await act('release', 'valve', 5);
    expect((await standing()).isSafe).toBe(false);
    expect([await act('test', 'sw', 6), await act('test', 'valve', 6)]).toEqual(['accepted', 'accepted']);
    expect((await standing()).isSafe).toBe(true);
  });

  it('says who and when', async () => {
    await lockOutAll();
    const { shutDown, points: all } = await standing();
    expect(shutDown).toEqual({ by: ann.id, at: addMinutes(noon, 1) });
    expect(all[1]).toMatchObject({
      locks: [{ by: ann.id, at: addMinutes(noon, 3) }],
      released: { at: addMinutes(noon, 4) },
      tested: { at: addMinutes(noon, 6) },
    });
  });

  it('lets everybody put on a lock of their own, and is safe until the last is off', async () => {
    await lockOutAll();
    expect(await act('lock', 'sw', 7, bob)).toBe('accepted');
    await act('unlock', 'sw', 8);
    expect((await standing()).points[0]?.locks.map(({ by }) => by)).toEqual([bob.id]);
    expect((await standing()).isSafe).toBe(true);
    await act('unlock', 'sw', 9, bob);
    expect((await standing()).points[0]).toMatchObject({ locks: [], tested: null });
    expect((await standing()).isSafe).toBe(false);
  });

  // 1910.147(e)(3).
  it('takes a lock off by the hand that put it on, or by a lead who says why', async () => {
    await lockOutAll();
    const ofAnn = { ofPersonId: ann.id };
    expect(await act('unlock', 'sw', 7, bob)).toBe('isolation_out_of_order');
    expect(await act('unlock', 'sw', 7, bob, ofAnn)).toBe('lock_of_another');
    expect(await act('unlock', 'sw', 7, lea, ofAnn)).toBe('lock_reason_missing');
    expect(await act('unlock', 'sw', 7, lea, { ...ofAnn, reason: 'Ann went home' })).toBe('accepted');
  });

  it('begins again with shutting down once every lock is off', async () => {
    await lockOutAll();
    await act('unlock', 'sw', 7);
    await act('unlock', 'valve', 8);
    expect(await act('lock', 'sw', 9)).toBe('isolation_out_of_order');
    expect([await act('shutDown', null, 10), await act('lock', 'sw', 11)]).toEqual(['accepted', 'accepted']);
  });

  it('measures what comes late by what was so at its time', async () => {
    await lockOutAll();
    await act('unlock', 'sw', 20);
    await act('unlock', 'valve', 21);
    // Bob locked while Ann's locks were on, and had no signal.
    expect(await act('lock', 'sw', 10, bob)).toBe('accepted');
    expect((await standing()).points[0]?.locks.map(({ by }) => by)).toEqual([bob.id]);
  });

  it('knows only the points of its work order', async () => {
    expect(await act('lock', 'other', 1)).toBe('not_found');
    records.change(smallWorks({ isolation: [], state: 'underway' }));
    expect(await act('shutDown', null, 1)).toBe('not_found');
  });

  it('owes every lock that is still on before finishing', async () => {
    await lockOutAll();
    const finish = anOperation('work.finish', { workOrderId: workId }, { at: addMinutes(noon, 30) });
    const { outcome } = await applyOperation(records, finish, ann, sideAt(addMinutes(noon, 30)));
    expect(outcome).toMatchObject({ ok: false, code: 'not_finished_owed', values: { lock: 2 } });
  });

  it('of nothing is safe', () => {
    expect(isolationOf([], [])).toEqual({ shutDown: null, points: [], isSafe: true });
  });
});

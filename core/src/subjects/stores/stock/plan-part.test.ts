import fc from 'fast-check';
import type { BinId } from '../../../kernel/ids';
import { aBin, aPart, ann, bob, binId, partId, put, workId } from '../../../testing/builders';
import { codeOf, Works } from '../../../testing/works';
import { currentOf } from '../../orders/work/entries';

const otherBin = 'other-bin' as BinId;
const onWork = { workOrderId: workId };
const line = { ...onWork, partId, binId };
const works = () => {
  const made = new Works({ kit: [], personIds: [ann.id, bob.id] });
  made.records.change([put('bins', aBin({ id: otherBin, label: 'D-07' }))]);
  return made;
};

describe('the parts that a job needs', () => {
  it('are added, changed and left out while it is open, and the record says who and why', async () => {
    const made = works();
    expect(codeOf(await made.do('part.plan', { ...line, quantity: 2_000 }))).toBe('accepted');
    expect(codeOf(await made.do('part.plan', { ...line, quantity: 3_000, reason: 'Both sides' }))).toBe('accepted');
    expect(made.work?.kit).toEqual([{ partId, binId, quantity: 3_000, unit: null }]);
    expect(codeOf(await made.do('part.leave-out', { ...line, reason: 'Still good' }))).toBe('accepted');
    expect(made.work?.kit).toEqual([]);
    expect(
      currentOf(made.entries, 'kit').map(({ by, content }) => [
        by,
        content.before?.quantity ?? null,
        content.after,
        content.reason,
      ]),
    ).toEqual([
      [ann.id, null, 2_000, ''],
      [ann.id, 2_000, 3_000, 'Both sides'],
      [ann.id, 3_000, null, 'Still good'],
    ]);
  });

  it('take nothing from the store, and leave what was taken as it is', async () => {
    const made = works();
    await made.do('part.plan', { ...line, quantity: 2_000 });
    expect(made.onHand).toBe(8_000);
    await made.do('part.use', { ...line, quantity: 1_000 });
    await made.do('part.leave-out', { ...line, reason: 'One was enough' });
    expect([made.onHand, currentOf(made.entries, 'part').length]).toEqual([7_000, 1]);
  });

  it('are told altogether, so that twice the same and twice left out change nothing', async () => {
    const made = works();
    await made.do('part.plan', { ...line, quantity: 2_000 });
    await made.do('part.plan', { ...line, quantity: 2_000 });
    await made.do('part.leave-out', { ...line, reason: 'Still good' });
    expect(codeOf(await made.do('part.leave-out', { ...line, reason: 'Still good' }))).toBe('accepted');
    expect(currentOf(made.entries, 'kit')).toHaveLength(2);
  });

  it('are one line for a part and a bin, also where several had been planned in other units', async () => {
    const made = new Works({
      kit: [
        { partId, binId, quantity: 1_000, unit: null },
        { partId, binId: otherBin, quantity: 4_000, unit: null },
        { partId, binId, quantity: 2_000, unit: 'pcs' },
      ],
    });
    await made.do('part.plan', { ...line, quantity: 5_000 });
    expect(made.work?.kit.map((each) => [each.binId, each.quantity, each.unit])).toEqual([
      [binId, 5_000, null],
      [otherBin, 4_000, null],
    ]);
    expect(currentOf(made.entries, 'kit')[0]?.content.before).toEqual({ quantity: 3_000, unit: 'pcs' });
  });

  it.each([
    ['nothing', { quantity: 0 }, 'quantity_not_positive'],
    ['half a piece', { quantity: 500 }, 'quantity_not_whole'],
    ['over a million', { quantity: 2e9 }, 'quantity_too_large'],
    ['a part that is not there', { quantity: 1_000, partId: 'none' as never }, 'not_found'],
    ['a bin that is not there', { quantity: 1_000, binId: 'none' as never }, 'not_found'],
  ])('cannot be %s', async (_what, wrong, code) => {
    const made = works();
    expect(codeOf(await made.do('part.plan', { ...line, ...wrong }))).toBe(code);
    expect([made.work?.kit, made.entries]).toEqual([[], []]);
  });

  it('are not for whoever does not have the job, nor for one that has ended', async () => {
    const others = new Works({ personIds: [bob.id] });
    expect(codeOf(await others.do('part.plan', { ...line, quantity: 1_000 }))).toBe('work_order_not_yours');
    expect(codeOf(await others.do('part.leave-out', { ...line, reason: 'Not here' }))).toBe('work_order_not_yours');
    const ended = new Works({ state: 'accepted', closedAt: '2026-06-01T10:00:00.000Z' as never });
    expect(codeOf(await ended.do('part.plan', { ...line, quantity: 1_000 }))).toBe('work_order_closed');
  });

  it('are what was said last of each part and bin, whatever is said and in whatever order', () =>
    fc.assert(
      fc.asyncProperty(
        fc.array(fc.record({ bin: fc.constantFrom(binId, otherBin), pieces: fc.integer({ min: 0, max: 4 }) }), {
          maxLength: 12,
        }),
        async (said) => {
          const made = works();
          made.records.change([put('parts', aPart())]);
          const last = new Map<string, number>();
          for (const { bin, pieces } of said) {
            if (pieces === 0) await made.do('part.leave-out', { ...line, binId: bin, reason: 'Not needed' });
            else await made.do('part.plan', { ...line, binId: bin, quantity: pieces * 1_000 });
            if (pieces === 0) last.delete(bin);
            else last.set(bin, pieces * 1_000);
          }
          expect(Object.fromEntries(made.work?.kit.map((each) => [each.binId, each.quantity]) ?? [])).toEqual(
            Object.fromEntries(last),
          );
          expect(made.onHand).toBe(8_000);
        },
      ),
      { numRuns: 60 },
    ));
});

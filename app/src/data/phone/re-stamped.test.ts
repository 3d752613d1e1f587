import { anOperation, workId } from '@oilcan/core/testing';
import { namesOneOf } from '@oilcan/core/registry/operations';
import type { KeptOperation } from '../database/kept-operation';
import { reStamped } from './re-stamped';

const NOW = Date.parse('2026-11-23T12:00:00.000Z');
const MINUTE = 60_000;

/** Pending operations made so many minutes after the present, by a clock that is thought to be right. */
const pending = (...minutes: number[]): KeptOperation[] =>
  minutes.map((minute, sequence) => ({
    operation: anOperation(
      'note.add',
      { workOrderId: workId, text: '-' },
      { at: new Date(NOW + minute * MINUTE).toISOString() },
    ),
    sequence,
    where: 'pending',
  }));
const correctedMinutes = (kept: readonly KeptOperation[]): number[] =>
  kept.map(({ operation }) => (Date.parse(operation.at) - operation.ahead - NOW) / MINUTE);

describe('operations of a clock that was ahead', () => {
  it('happened by now; the others stay as they are', () => {
    expect(correctedMinutes(reStamped(pending(-5, 3, 90), NOW, new Set()))).toEqual([0, 0]);
    expect(reStamped(pending(-5, -1), NOW, new Set())).toEqual([]);
  });

  it('take with them what was made after one that was sent back', () => {
    const kept = pending(-50, -40, -30);
    const second = kept[1]?.operation.id ?? '';
    const anew = reStamped(kept, NOW, new Set([second]));
    expect(anew.map(({ sequence }) => sequence)).toEqual([1, 2]);
    expect(correctedMinutes(anew)).toEqual([0, 0]);
  });

  it('never keep the stamp with which they were sent back, and stay in their order', () => {
    const kept = pending(-10, 0, 0, 5);
    const early = new Set(kept.slice(1).map(({ operation }) => operation.id as string));
    const anew = reStamped(kept, NOW, early);
    expect(anew.map(({ sequence }) => sequence)).toEqual([1, 2, 3]);
    for (const { operation } of anew)
      expect(operation.ahead).not.toBe(kept.find((each) => each.operation.id === operation.id)?.operation.ahead);
    const times = correctedMinutes(anew);
    expect(times).toEqual([...times].sort((a, b) => a - b));
    expect(Math.abs(times.at(-1) ?? 1) * MINUTE).toBeLessThanOrEqual(2);
  });
});

describe('an operation', () => {
  it('waits for one whose entry it names, also for the entry that one adds beside its own', () => {
    const [first] = pending(0);
    const id = first?.operation.id;
    if (id === undefined) throw new Error('There is no first one.');
    const naming = (entryId: string) =>
      anOperation('entry.withdraw', { workOrderId: workId, entryId: entryId as never, reason: 'x' });
    const ids = new Set([id]);
    expect([naming(id), naming(`${id}-reading`), naming('other')].map((each) => namesOneOf(each, ids))).toEqual([
      true,
      true,
      false,
    ]);
  });
});

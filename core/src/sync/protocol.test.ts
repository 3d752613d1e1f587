import { anOperation, workId } from '../testing/builders';
import { agreeOn, batchOf, PUSH_BYTES, PUSH_LIMIT, RANGE, rangeText, readRange } from './protocol';

const note = (length: number) => anOperation('note.add', { workOrderId: workId, text: 'ü'.repeat(length) });

describe('a push', () => {
  it('holds so many operations at most, the first ones first', () => {
    const operations = Array.from({ length: PUSH_LIMIT + 5 }, () => note(1));
    expect(batchOf(operations)).toEqual(operations.slice(0, PUSH_LIMIT));
  });

  it('holds so many bytes at most', () => {
    const batch = batchOf(Array.from({ length: PUSH_LIMIT }, () => note(10_000)));
    expect(batch.length).toBeGreaterThan(1);
    expect(Buffer.byteLength(JSON.stringify(batch))).toBeLessThanOrEqual(PUSH_BYTES);
  });

  it('holds at least one, however long', () => {
    expect(batchOf([note(PUSH_BYTES), note(1)])).toHaveLength(1);
  });
});

describe('the protocol', () => {
  it('tells an older phone to update and a newer one to wait', () => {
    expect(() => agreeOn({ oldest: 3, newest: 5 }, { oldest: 6, newest: 8 })).toThrow('protocol_older');
    expect(() => agreeOn({ oldest: 9, newest: 9 }, { oldest: 6, newest: 8 })).toThrow('protocol_newer');
  });

  it('is the newest that both sides speak', () => {
    expect(agreeOn({ oldest: 5, newest: 7 }, { oldest: 6, newest: 8 })).toBe(7);
    expect(agreeOn({ oldest: 7, newest: 9 }, { oldest: 6, newest: 8 })).toBe(8);
    expect(agreeOn({ oldest: 6, newest: 6 }, { oldest: 6, newest: 8 })).toBe(6);
  });

  it('is written as a range of versions, and read again', () => {
    for (const range of [
      { oldest: 6, newest: 7 },
      { oldest: 7, newest: 7 },
      { oldest: 9, newest: 120 },
    ]) {
      expect(rangeText(range)).toMatch(RANGE);
      expect(readRange(rangeText(range))).toEqual(range);
    }
    for (const other of ['', '-7', '6-', '6-7-8', '6.5', 'x']) expect(other).not.toMatch(RANGE);
  });
});

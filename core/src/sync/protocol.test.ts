import { anOperation, workId } from '../testing/builders';
import { batchOf, checkProtocol, PROTOCOL_VERSION, PUSH_BYTES, PUSH_LIMIT } from './protocol';

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
    expect(() => checkProtocol(PROTOCOL_VERSION - 1)).toThrow('older than the server');
    expect(() => checkProtocol(PROTOCOL_VERSION + 1)).toThrow('newer than the server');
    expect(() => checkProtocol(PROTOCOL_VERSION)).not.toThrow();
  });
});

import { asId, type AssetId } from '@oilcan/core/kernel';
import { aWorkOrder } from '@oilcan/core/testing';
import { forgetLastRead, isAsRead, lastRead, questionKey, rememberRead, type LastRead } from './last-read';

const past = {
  jobs: [],
  modes: [],
  usual: null,
  cutAt: null,
  asOf: '2026-11-23T11:00:00.000Z',
} as unknown as LastRead['past'];
const gearbox = { scope: 'asset', id: asId<AssetId>('gearbox') } as const;
const read = (text: string): LastRead => ({ text, open: [], past });

afterEach(forgetLastRead);

describe('what was read of the past', () => {
  it('is remembered by machine, scope and job, the six newest', () => {
    const keys = Array.from({ length: 7 }, (_, index) =>
      questionKey({ scope: 'asset', id: asId<AssetId>(`machine-${index}`) }, null),
    );
    for (const key of keys) rememberRead(key, read(key));
    expect(keys.map((key) => lastRead(key) !== undefined)).toEqual([false, true, true, true, true, true, true]);
    const work = aWorkOrder();
    expect(questionKey(gearbox, work)).not.toBe(questionKey(gearbox, null));
    expect(questionKey(gearbox, { ...work, number: 'W-9' } as typeof work)).toBe(questionKey(gearbox, work));
  });

  it('is the same when only the time differs at which it was asked for', () => {
    const known = read('{"asOf":"2026-11-23T11:00:00Z","jobs":[]}');
    expect(isAsRead(known, '{"asOf":"2026-11-23T12:00:00Z","jobs":[]}', [])).toBe(true);
    expect(isAsRead(known, '{"asOf":"2026-11-23T12:00:00Z","jobs":[1]}', [])).toBe(false);
    expect(isAsRead(known, known.text, [{ work: aWorkOrder(), entries: [], machines: [], wanted: [] }])).toBe(false);
  });

  it('is gone when somebody else may look', () => {
    rememberRead('key', read(''));
    forgetLastRead();
    expect(lastRead('key')).toBeUndefined();
  });
});

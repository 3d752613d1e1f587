import fc from 'fast-check';
import { asId, type AssetId, type EntryId, type PointId } from '../kernel/ids';
import {
  anAsset,
  ann,
  anOperation,
  aPart,
  aPoint,
  aRate,
  assetId,
  bob,
  lea,
  noon,
  partId,
  binId,
  pointId,
  put,
  workId,
} from '../testing/builders';
import { codeOf, minutesLater, Works, sideAt } from '../testing/works';
import { currentOf } from '../subjects/orders/work/entries';
import { isShowable } from '../kernel/schema/fields';
import { isOperationName, operations, operationNamed, applyOperation } from './operations';
import { readOperation } from '../operations/envelope';

const onWork = { workOrderId: workId };
const DAY = 24 * 60;
const hazards = [{ id: 'rotating', hazard: 'Drive starts', control: 'Lock out' }];
const note = { ...onWork, text: 'Greased' };

describe('forged times', () => {
  it('older than a year are refused, whatever they are made of', async () => {
    const works = new Works();
    const old = anOperation('note.add', note, { at: minutesLater(-367 * DAY), knownUntil: noon });
    expect(codeOf(await works.send(old, ann, noon))).toBe('made_too_long_ago');
    const ahead = anOperation('note.add', note, { ahead: 367 * DAY * 60_000 });
    expect(codeOf(await works.send(ahead, ann, noon))).toBe('made_too_long_ago');
    const yearOff = anOperation('note.add', note, { at: '1970-01-01T00:00:10.000Z', ahead: -1_795_431_590_000 });
    expect(codeOf(await works.send(yearOff, ann, noon))).toBe('accepted');
  });

  it('of what was known cannot lie ahead', async () => {
    const works = new Works();
    const knownUntil = minutesLater(10);
    expect(codeOf(await works.send(anOperation('note.add', note, { knownUntil }), ann, noon))).toBe('invalid');
  });

  it('start no clock for somebody who never acknowledged any list of the hazards', async () => {
    const works = new Works({ hazards });
    await works.do('work.acknowledge-hazards', { ...onWork, hazardIds: [asId('rotating')] }, lea);
    await works.do('work.add-hazard', { ...onWork, hazard: 'Ice', control: 'Crampons' }, lea, minutesLater(5));
    // Says that it heard nothing for long, and never read anything.
    const start = anOperation('clock.start', onWork, { at: minutesLater(10), knownUntil: minutesLater(-300 * DAY) });
    expect(codeOf(await works.send(start, ann, minutesLater(10)))).toBe('hazards_not_acknowledged');
    const empty = anOperation(
      'work.acknowledge-hazards',
      { ...onWork, hazardIds: [] },
      { knownUntil: minutesLater(-DAY) },
    );
    expect(codeOf(await works.send(empty, ann, minutesLater(11)))).toBe('hazards_changed');
    const known = { ...onWork, hazardIds: [asId<never>('rotating')] };
    const read = anOperation('work.acknowledge-hazards', known, { at: minutesLater(1), knownUntil: noon });
    expect(codeOf(await works.send(read, ann, minutesLater(12)))).toBe('accepted');
    const again = anOperation('clock.start', onWork, { at: minutesLater(2), knownUntil: noon });
    expect(codeOf(await works.send(again, ann, minutesLater(13)))).toBe('accepted');
  });

  it('that came in long after, or from a clock that was far off, are marked for the review', async () => {
    const works = new Works();
    await works.send(anOperation('note.add', note), ann, minutesLater(2 * DAY));
    await works.send(anOperation('note.add', note, { at: minutesLater(180), ahead: 180 * 60_000 }), ann, noon);
    await works.send(anOperation('note.add', note), ann, minutesLater(60));
    expect(currentOf(works.entries, 'note').map(({ arrival }) => arrival)).toEqual([
      { at: minutesLater(2 * DAY), clockOffMinutes: 0 },
      { at: noon, clockOffMinutes: 180 },
      undefined,
    ]);
  });

  it('put no time of over a year ago into the record', async () => {
    const works = new Works();
    const time = { ...onWork, personId: ann.id, minutes: 30, timeType: 'regular' as const };
    const add = (startedAt: string) => works.do('labor.add', { ...time, startedAt: startedAt as never });
    expect(codeOf(await add(minutesLater(-400 * DAY)))).toBe('labor_too_old');
    expect(codeOf(await add('1850-01-01T00:00:00Z'))).toBe('invalid');
    expect(codeOf(await add('9999-12-31T23:59:59-10:00'))).toBe('invalid');
    expect(codeOf(await add(minutesLater(-DAY)))).toBe('accepted');
  });
});

describe('meters', () => {
  it('that are read late are compared with what was read before and after', async () => {
    const works = new Works();
    works.records.change([put('points', aPoint({ isMeter: true, latest: [{ at: minutesLater(-60), value: 100 }] }))]);
    const read = (value: number, minutes: number) =>
      works.send(anOperation('reading.add', { ...onWork, pointId, value }, { at: minutesLater(minutes) }), ann, noon);
    expect(codeOf(await read(110, 0))).toBe('accepted');
    expect(codeOf(await read(111, -30))).toBe('meter_read_lower_since');
    expect(codeOf(await read(99, -30))).toBe('meter_runs_back');
    expect(codeOf(await read(105, -30))).toBe('accepted');
  });

  it('and other points are those of the machine or its parts', async () => {
    const works = new Works();
    const [part, other] = [asId<AssetId>('shaft'), asId<AssetId>('pump')];
    works.records.change([
      put('assets', anAsset({ id: part, parentId: assetId })),
      put('assets', anAsset({ id: other })),
      put('points', aPoint({ id: asId<PointId>('of-part'), assetId: part })),
      put('points', aPoint({ id: asId<PointId>('of-other'), assetId: other })),
    ]);
    const read = (id: string) => works.do('reading.add', { ...onWork, pointId: asId<PointId>(id), value: 5 });
    expect([codeOf(await read('of-part')), codeOf(await read('of-other'))]).toEqual([
      'accepted',
      'point_of_other_machine',
    ]);
  });
});

describe('amending', () => {
  it('keeps the rate and the price of when it was recorded', async () => {
    const works = new Works();
    const time = { ...onWork, startedAt: minutesLater(-120), minutes: 60, timeType: 'regular' as const };
    await works.do('labor.add', { ...time, personId: ann.id });
    await works.do('part.use', { ...onWork, partId, binId, quantity: 1_000 });
    works.records.change([put('rates', aRate({ minorPerHour: 99_000 })), put('parts', aPart({ priceMinor: 99_000 }))]);
    const idOf = (kind: 'labor' | 'part'): EntryId => currentOf(works.entries, kind)[0]?.id ?? asId<EntryId>('');
    await works.do('labor.amend', { ...time, entryId: idOf('labor'), minutes: 90 });
    await works.do('part.amend', { ...onWork, entryId: idOf('part'), quantity: 2_000 });
    expect(currentOf(works.entries, 'labor').map(({ content }) => content.cost?.minor)).toEqual([9_000]);
    expect(currentOf(works.entries, 'part').map(({ content }) => content.cost.minor)).toEqual([7_640]);
  });
});

describe('what a field may hold', () => {
  it.each([
    ['a null', 'a\u0000b'],
    ['a bell', 'a\u0007b'],
    ['a turn of direction', 'a\u202eb'],
    ['a mark of direction', 'a\u200fb'],
    ['no width', 'a\u200bb'],
    ['no width at its start', '\ufeffab'],
    ['a soft hyphen', 'a\u00adb'],
    ['a tag', 'a\u{e0041}b'],
    ['half a character', 'a\ud800b'],
    ['a joiner that joins nothing', 'a \u200d b'],
  ])('is no text with %s', (_, text) => {
    expect(isShowable(text)).toBe(false);
  });

  it.each(['Grüße', 'línea\nzwei\tdrei', '軸受', 'نشتی روغن', 'می\u200cخواهم', '👩\u200d🔧 fixed', '½″ × 3 – 40 °C'])(
    'is any text that people write: %s',
    (text) => {
      expect(isShowable(text)).toBe(true);
    },
  );

  it('is said of every text of every operation: none takes what cannot be seen', async () => {
    const works = new Works({ hazards: [] });
    const unseen = 'x\u202ey\u200b';
    for (const name of Object.keys(operations).filter(isOperationName)) {
      const described = operationNamed(name).schema.describe() as { fields?: Record<string, { type: string }> };
      for (const [field, { type }] of Object.entries(described.fields ?? {})) {
        if (type !== 'string') continue;
        const args = { ...onWork, [field]: unseen };
        const { outcome } = await applyOperation(works.records, anOperation(name, args as never), lea, sideAt(noon));
        expect([name, field, outcome.ok]).toEqual([name, field, false]);
      }
    }
  });

  it('is plain data: names that every object has and depth without end are refused, for that operation alone', () => {
    const deep = JSON.parse('['.repeat(5_000) + ']'.repeat(5_000)) as unknown;
    const given = (args: unknown) => readOperation({ ...anOperation('note.add', note), args });
    for (const args of [deep, { constructor: 1 }, JSON.parse('{"__proto__":1}'), { a: { toString: 1 } }])
      expect(given(args)).toMatchObject({ ok: false, code: 'invalid' });
    expect(given(note)).toMatchObject({ ok: true });
  });

  it('never makes an operation throw, whatever comes', async () => {
    const works = new Works({ hazards });
    const names = Object.keys(operations).filter(isOperationName);
    await fc.assert(
      fc.asyncProperty(fc.constantFrom(...names), fc.object(), fc.anything(), async (name, some, args) => {
        for (const each of [args, { ...onWork, ...some }]) {
          const read = readOperation({ ...anOperation('note.add', note), name, args: each });
          if (read.ok) await applyOperation(works.records, read.value, bob, sideAt(noon));
        }
      }),
      { numRuns: 300 },
    );
  });
});

import fc from 'fast-check';
import { asId, type EntryId } from '../../../kernel/ids';
import { aPart, ann, binId, bob, partId, put, workId } from '../../../testing/builders';
import { codeOf, Works } from '../../../testing/works';
import { currentOf } from '../../orders/work/entries';
import { questionsAbout } from './questions';
import { takenOf } from './taken';

/** Of random sequences; more with `OILCAN_SEQUENCES`. */
const SEQUENCES = Number(process.env['OILCAN_SEQUENCES'] ?? 1_000);

const onWork = { workOrderId: workId };
const part = (quantity: number) => ({ ...onWork, partId, binId, quantity });
const costOf = (works: Works): number =>
  currentOf(works.entries, 'part').reduce((sum, { content }) => sum + content.cost.minor, 0);

describe('what was not used', () => {
  it('goes back, and not more than was taken', async () => {
    const works = new Works();
    expect(codeOf(await works.do('part.return', part(1_000)))).toBe('returned_more_than_taken');
    await works.do('part.use', part(3_000));
    expect(await works.do('part.return', part(4_000))).toMatchObject({
      code: 'returned_more_than_taken',
      values: { taken: '3', unit: 'pcs' },
    });
    expect(codeOf(await works.do('part.return', part(2_000)))).toBe('accepted');
    expect([works.onHand, takenOf(works.entries, partId)?.quantity]).toEqual([7_000, 1_000]);
    expect(codeOf(await works.do('part.return', part(2_000)))).toBe('returned_more_than_taken');
  });

  it('costs nothing any more once all of it went back, in whatever pieces and at whatever prices', () =>
    fc.assert(
      fc.asyncProperty(
        fc.array(fc.tuple(fc.integer({ min: 1, max: 7 }), fc.integer({ min: 0, max: 99_999 })), {
          minLength: 1,
          maxLength: 4,
        }),
        fc.array(fc.integer({ min: 1, max: 5 }), { maxLength: 12 }),
        async (takes, pieces) => {
          const works = new Works();
          for (const [quantity, priceMinor] of takes) {
            works.records.change([put('parts', aPart({ priceMinor }))]);
            await works.do('part.use', part(quantity * 1_000));
          }
          for (const piece of pieces) await works.do('part.return', part(piece * 1_000));
          expect(costOf(works)).toBeGreaterThanOrEqual(0);
          const left = takenOf(works.entries, partId)?.quantity ?? 0;
          if (left > 0) await works.do('part.return', part(left));
          expect([costOf(works), works.onHand]).toEqual([0, 8_000]);
        },
      ),
      { numRuns: 60 },
    ));

  it('is the sum of its movements, never less than nothing, and of nothing costs nothing, in whatever order it goes', async () => {
    const act = fc.oneof(
      fc.record({
        is: fc.constant('use' as const),
        pieces: fc.integer({ min: 1, max: 4 }),
        priceMinor: fc.integer({ min: 0, max: 9_999 }),
      }),
      fc.record({ is: fc.constant('return' as const), pieces: fc.integer({ min: 1, max: 4 }) }),
      fc.record({ is: fc.constant('amend' as const), at: fc.nat(20), pieces: fc.integer({ min: 1, max: 4 }) }),
      fc.record({ is: fc.constant('withdraw' as const), at: fc.nat(20) }),
    );
    await fc.assert(
      fc.asyncProperty(fc.array(act, { maxLength: 9 }), async (acts) => {
        const works = new Works({ state: 'underway' });
        for (const each of acts) {
          const standing = currentOf(works.entries, 'part');
          const entryId = (standing['at' in each ? each.at % Math.max(1, standing.length) : 0]?.id ??
            'none') as EntryId;
          if (each.is === 'use') {
            works.records.change([put('parts', aPart({ priceMinor: each.priceMinor }))]);
            await works.do('part.use', part(each.pieces * 1_000));
          } else if (each.is === 'return') await works.do('part.return', part(each.pieces * 1_000));
          else if (each.is === 'amend')
            await works.do('part.amend', { ...onWork, entryId, quantity: each.pieces * 1_000 });
          else await works.do('entry.withdraw', { ...onWork, entryId, reason: 'Not so' });
          const left = currentOf(works.entries, 'part').reduce((sum, { content }) => sum + content.quantity, 0);
          const moved = works.records.peekAll('movements').reduce((sum, { change }) => sum + change, 0);
          expect([works.onHand, works.onHand]).toEqual([moved, 8_000 - left]);
          expect(left).toBeGreaterThanOrEqual(0);
          expect(costOf(works)).toBeGreaterThanOrEqual(0);
          if (left === 0) expect(costOf(works)).toBe(0);
        }
      }),
      { numRuns: SEQUENCES },
    );
  });

  it('is taken out of the past: what went back whole was not used', async () => {
    const works = new Works();
    await works.do('part.use', part(2_000));
    await works.do('part.return', part(2_000));
    expect(takenOf(works.entries, partId)).toBeNull();
  });

  it('leaves the amount that was taken no smaller than what went back', async () => {
    const works = new Works();
    await works.do('part.use', part(3_000));
    await works.do('part.return', part(2_000));
    const entryId = currentOf(works.entries, 'part')[0]?.id ?? asId<EntryId>('none');
    expect(codeOf(await works.do('part.amend', { ...onWork, entryId, quantity: 1_000 }))).toBe(
      'returned_more_than_taken',
    );
    expect(codeOf(await works.do('part.amend', { ...onWork, entryId, quantity: 2_000 }))).toBe('accepted');
    const back = currentOf(works.entries, 'part').find(({ content }) => content.quantity < 0);
    expect(codeOf(await works.do('part.amend', { ...onWork, entryId: back?.id ?? entryId, quantity: 1_000 }))).toBe(
      'entry_not_amendable',
    );
  });
});

describe('a part with a number', () => {
  const comesOut = (works: Works, given: object = {}) => ({
    partId,
    assetId: works.work?.assetId ?? asId<never>('none'),
    installationId: works.records.peekAll('installations')[0]?.id ?? null,
    serial: '',
    fate: 'scrap' as const,
    binId: null,
    ...given,
  });
  const fit = (works: Works, serial: string, given: object = {}) =>
    works.do('part.use', {
      ...part(1_000),
      goesIn: { assetId: works.work?.assetId ?? asId<never>('none'), serial },
      ...given,
    });

  it('stands in the make-up of its machine, under warranty from that day', async () => {
    const works = new Works();
    works.records.change([put('parts', aPart({ isNumbered: true, warrantyDays: 365 }))]);
    expect(codeOf(await fit(works, 'S-1'))).toBe('accepted');
    expect(works.records.peekAll('installations')).toMatchObject([
      { partId, serial: 'S-1', since: '2026-11-23', warrantyUntil: '2027-11-23' },
    ]);
    expect(await fit(works, 's-1')).toMatchObject({ code: 'serial_installed_elsewhere', values: { asset: 'Gearbox' } });
  });

  it('takes the place of another, of which it is said what becomes of it', async () => {
    const works = new Works();
    await fit(works, 'S-1');
    expect(codeOf(await fit(works, 'S-2', { comesOut: comesOut(works, { fate: 'warranty' }) }))).toBe('accepted');
    expect(works.records.peekAll('installations').map(({ serial }) => serial)).toEqual(['S-2']);
    expect(currentOf(works.entries, 'removal').map(({ content }) => [content.serial, content.fate])).toEqual([
      ['S-1', 'warranty'],
    ]);
    expect(works.onHand).toBe(6_000);
  });

  it('that is kept goes into a bin, and has to say which', async () => {
    const works = new Works();
    await fit(works, 'S-1');
    const kept = comesOut(works, { fate: 'keep' });
    expect(codeOf(await works.do('part.take-out', { ...onWork, comesOut: kept }))).toBe('fate_needs_bin');
    expect(codeOf(await works.do('part.take-out', { ...onWork, comesOut: { ...kept, binId } }))).toBe('accepted');
    expect([works.onHand, works.records.peekAll('installations')]).toEqual([8_000, []]);
  });

  it('is recorded as taken out though somebody took it out before', async () => {
    const works = new Works({ personIds: [ann.id, bob.id] });
    await fit(works, 'S-1');
    const out = { ...onWork, comesOut: comesOut(works, { serial: 'S-1' }) };
    await works.do('part.take-out', out, bob);
    expect(codeOf(await works.do('part.take-out', out))).toBe('accepted');
    expect(currentOf(works.entries, 'removal')).toHaveLength(2);
  });

  it('is where it was when its entry is taken back', async () => {
    const works = new Works();
    await fit(works, 'S-1');
    const before = works.records.peekAll('installations');
    await works.do('part.take-out', { ...onWork, comesOut: comesOut(works, { fate: 'keep', binId }) });
    const out = currentOf(works.entries, 'removal')[0]?.id ?? asId<EntryId>('none');
    await works.do('entry.withdraw', { ...onWork, entryId: out, reason: 'wrong' });
    expect([works.records.peekAll('installations'), works.onHand]).toEqual([before, 7_000]);
    const used = currentOf(works.entries, 'part')[0]?.id ?? asId<EntryId>('none');
    await works.do('entry.withdraw', { ...onWork, entryId: used, reason: 'wrong' });
    expect([works.records.peekAll('installations'), works.onHand]).toEqual([[], 8_000]);
  });
});

describe('an amount', () => {
  const known = { onHand: 8_000, usual: 2_000, planned: null };

  it.each([
    [2_000, known, []],
    [8_000, known, []],
    [9_000, known, ['farMoreThanUsual', 'moreThanThere']],
    [500_000, { onHand: 900_000, usual: 5_000, planned: null }, ['farMoreThanUsual']],
    [30_000, { onHand: 40_000, usual: 2_000, planned: 30_000 }, []],
    [50_000, { onHand: 60_000, usual: null, planned: null }, []],
    [500_000, { onHand: 600_000, usual: null, planned: null }, ['farMoreThanUsual']],
  ])('of %d thousandths, knowing %j, is asked about: %j', (quantity, given, questions) => {
    expect(questionsAbout(quantity, given)).toEqual(questions);
  });
});

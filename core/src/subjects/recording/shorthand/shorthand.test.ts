import fc from 'fast-check';
import { asId, type PartId, type PointId } from '../../../kernel/ids';
import { aPart, aPoint } from '../../../testing/builders';
import { completionsOf } from './complete';
import { meaningsOf, type ShorthandContext } from './meaning';
import { parseShorthand } from './parse';
import { LONGEST_SHORTHAND, type Phrase } from './phrase';
import { printShorthand, withPhrase } from './print';
import { fromSpoken } from './spoken';

const read = (line: string): Phrase[] => parseShorthand(line).map(({ phrase }) => phrase);
const hour = { is: 'time', minutes: 90, timeType: 'regular' } as const;

describe('a line of shorthand', () => {
  it('is read as the entries that it means', () => {
    expect(read('1.5h 2x seal-70 fault leak note grease was black')).toEqual([
      hour,
      { is: 'part', quantity: 2_000, words: 'seal-70' },
      { is: 'fault', words: 'leak' },
      { is: 'note', text: 'grease was black' },
    ]);
  });

  it.each([
    ['1:30', [hour]],
    ['1,5h', [hour]],
    ['90m overtime', [{ ...hour, timeType: 'overtime' }]],
    ['1h30 travel', [{ ...hour, timeType: 'travel' }]],
    ['1.5 hours', [hour]],
    ['90 minutes', [hour]],
    ['2 x seal 70', [{ is: 'part', quantity: 2_000, words: 'seal 70' }]],
    ['0.5x oil', [{ is: 'part', quantity: 500, words: 'oil' }]],
    ['read oil temp 68', [{ is: 'reading', words: 'oil temp', value: 68, unit: null }]],
    ['read bearing 2 68,5 °C', [{ is: 'reading', words: 'bearing 2', value: 68.5, unit: '°C' }]],
    ['read temp 68°C 1.5h', [{ is: 'reading', words: 'temp', value: 68, unit: '°C' }, hour]],
    ['read meter 1200h', [{ is: 'reading', words: 'meter', value: 1_200, unit: 'h' }]],
    ['stopped 1:30', [{ is: 'stoppage', minutes: 90, extent: 'full' }]],
    ['reduced 90m', [{ is: 'stoppage', minutes: 90, extent: 'reduced' }]],
    ['spent 12.50 taxi; 1.5h', [{ is: 'spent', amount: '12.50', words: 'taxi' }, hour]],
    [
      'no parts no stoppage',
      [
        { is: 'none', of: 'part' },
        { is: 'none', of: 'stoppage' },
      ],
    ],
    ['note no parts left; 1.5h', [{ is: 'note', text: 'no parts left' }, hour]],
    ['note first;; then second', [{ is: 'note', text: 'first; then second' }]],
    ['2x "note pad" 1.5h', [{ is: 'part', quantity: 2_000, words: 'note pad' }, hour]],
    ['', []],
    [' ; ; ', []],
  ])('“%s”', (line, phrases) => {
    expect(read(line)).toEqual(phrases);
  });

  it.each([
    ['grease 1.5h', 'grease', 'unknown'],
    ['2x', '2x', 'partMissing'],
    ['2x; 1.5h', '2x', 'partMissing'],
    ['fault note x', 'fault', 'faultMissing'],
    ['read temp', 'read temp', 'valueMissing'],
    ['read 68', 'read 68', 'valueMissing'],
    ['stopped long', 'stopped', 'howLongMissing'],
    ['spent taxi', 'spent taxi', 'amountMissing'],
    ['spent 12', 'spent 12', 'amountMissing'],
    ['note', 'note', 'noteMissing'],
    ['note ; 1.5h', 'note', 'noteMissing'],
  ])('of “%s” says that it cannot read “%s”: %s', (line, text, because) => {
    expect(read(line)).toContainEqual({ is: 'unread', text, because });
  });

  it('says where each of them stands', () => {
    const line = '1.5h   2x seal-70; note black';
    expect(parseShorthand(line).map(({ from, to }) => line.slice(from, to))).toEqual([
      '1.5h',
      '2x seal-70',
      'note black',
    ]);
  });

  it('that is too long is not read at all', () => {
    expect(read('x'.repeat(10_000))).toMatchObject([{ because: 'tooLong' }]);
    expect(read('1.5h '.repeat(LONGEST_SHORTHAND / 5))).toHaveLength(LONGEST_SHORTHAND / 5);
  });

  it('of any characters at all is read without an error, and nothing of it is lost between its phrases', () =>
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 80 }), (line) => {
        const phrases = parseShorthand(line);
        const covered = phrases.map(({ from, to }) => line.slice(from, to)).join('');
        const between = (text: string): string => text.replace(/[\s;"]/g, '');
        expect(between(covered)).toBe(between(line));
      }),
    ));
});

describe('what was dictated', () => {
  it.each([
    ['one and a half hours note it was dry', '1.5 hours note it was dry'],
    ['an hour and a half two times seal', '1.5 hours 2 times seal'],
    ['half an hour', '30 minutes'],
    ['a quarter of an hour', '15 minutes'],
    ['Three times bearing fault leak', '3 times bearing fault leak'],
    ['note one seal was torn', 'note one seal was torn'],
  ])('“%s” is read as “%s”', (spoken, typed) => {
    expect(fromSpoken(spoken)).toBe(typed);
  });
});

describe('printer and parser', () => {
  const word = fc.oneof(
    fc.stringMatching(/^[a-z0-9-]{1,8}$/),
    fc.constantFrom('note', 'fault', 'no', 'parts', '2x', '90m', '1:30', 'x', 'h', 'spent', 'overtime', '68', 'read'),
  );
  const words = fc.array(word, { minLength: 1, maxLength: 3 }).map((each) => each.join(' '));
  const text = fc
    .array(fc.oneof(word, fc.constantFrom(';', 'a;b', '“so”')), { minLength: 1, maxLength: 5 })
    .map((each) => each.join(' '));
  const minutes = fc.integer({ min: 1, max: 1_440 });
  const phrase: fc.Arbitrary<Phrase> = fc.oneof(
    fc.record({
      is: fc.constant('time' as const),
      minutes,
      timeType: fc.constantFrom('regular' as const, 'overtime' as const, 'travel' as const),
    }),
    fc.record({ is: fc.constant('part' as const), quantity: fc.integer({ min: 1, max: 999_999_999 }), words }),
    fc.record({ is: fc.constant('fault' as const), words }),
    fc.record({
      is: fc.constant('reading' as const),
      words,
      value: fc.integer({ min: -1e8, max: 1e8 }).map((value) => value / 100),
      unit: fc.constantFrom(null, '°C', 'bar', 'h', 'mm/s'),
    }),
    fc.record({
      is: fc.constant('stoppage' as const),
      minutes,
      extent: fc.constantFrom('full' as const, 'reduced' as const),
    }),
    fc.record({ is: fc.constant('note' as const), text }),
    fc.record({ is: fc.constant('spent' as const), amount: fc.constantFrom('12', '12.50', '0,5'), words: text }),
    fc.record({
      is: fc.constant('none' as const),
      of: fc.constantFrom('part' as const, 'stoppage' as const, 'time' as const),
    }),
  );

  it('are inverse', () =>
    fc.assert(
      fc.property(fc.array(phrase, { maxLength: 5 }), (phrases) => {
        const line = printShorthand(phrases);
        fc.pre(line.length <= LONGEST_SHORTHAND);
        expect(read(line)).toEqual(phrases);
      }),
      { numRuns: 1_000 },
    ));
});

describe('what a line means here', () => {
  const parts = ['BRG-6204', 'BRG-6205', 'BRG-6206', 'SEAL-70-90-10', 'OIL-VG220'].map((number) =>
    aPart({ id: asId<PartId>(number.toLowerCase()), number, name: number.startsWith('BRG') ? 'Bearing' : 'Part' }),
  );
  const seal = { component: 'Shaft seal', mode: 'ELU' } as const;
  const hose = { component: 'Hose', mode: 'ELP' } as const;
  const context: ShorthandContext = {
    parts,
    likelyParts: [asId<PartId>('seal-70-90-10')],
    points: [
      aPoint({ id: asId<PointId>('oil'), name: 'Oil temperature' }),
      aPoint({ id: asId<PointId>('bearing'), name: 'Bearing temperature' }),
    ],
    usualFaults: [seal],
    faults: [seal, hose, { component: '', mode: 'NOI' }],
  };
  const meant = (line: string) => meaningsOf(parseShorthand(line), context);

  it('finds a part by its number, by the only one that fits, or by the one that this job likely takes', () => {
    expect(meant('1x brg-6204')).toMatchObject([{ is: 'part', partId: 'brg-6204' }]);
    expect(meant('1x vg220')).toMatchObject([{ is: 'part', partId: 'oil-vg220' }]);
    expect(meant('1x seal')).toMatchObject([{ is: 'part', partId: 'seal-70-90-10' }]);
    expect(meant('1x part')).toMatchObject([{ is: 'part', partId: 'seal-70-90-10' }]);
  });

  it('says which several fit, and one press makes it that one', () => {
    const [meaning] = meant('2x brg-62');
    expect(meaning).toMatchObject({ is: 'several', count: 3 });
    if (meaning?.is !== 'several') throw new Error('Several fit.');
    expect(meaning.choices.map(({ label }) => label)).toEqual(['BRG-6204', 'BRG-6205', 'BRG-6206']);
    const line = withPhrase('1.5h 2x brg-62 note so', 1, meaning.choices[1]?.phrase ?? null);
    expect(line).toBe('1h30; 2x BRG-6205; note so');
    expect(meant(line)[1]).toMatchObject({ is: 'part', partId: 'brg-6205' });
  });

  it('takes the fault that this machine usually has, and names the others; elsewhere it asks', () => {
    expect(meant('fault leak')).toMatchObject([{ is: 'fault', fault: seal }]);
    expect(meant('fault hose')).toMatchObject([{ is: 'fault', fault: hose }]);
    expect(meaningsOf(parseShorthand('fault leak'), { ...context, usualFaults: [] })).toMatchObject([
      { is: 'several', count: 2 },
    ]);
    expect(meant('fault nonsense')).toMatchObject([{ is: 'nothing' }]);
    expect(meant('fault hose elp')).toMatchObject([{ is: 'fault', fault: hose, others: [] }]);
  });

  it('finds a point by the beginnings of its words', () => {
    expect(meant('read oil 68')).toMatchObject([{ is: 'point', pointId: 'oil' }]);
    expect(meant('read temp 68')).toMatchObject([{ is: 'several', count: 2 }]);
    expect(meant('read pressure 68')).toMatchObject([{ is: 'nothing' }]);
  });

  it('completes from what this job likely needs', () => {
    const likely = [{ partId: asId<never>('seal-70-90-10'), quantity: 2_000 }];
    const labels = (line: string): string[] => completionsOf(line, context, likely).map(({ label }) => label);
    expect(labels('')[0]).toBe('2x SEAL-70-90-10');
    expect(labels('2x brg')).toEqual(['BRG-6204', 'BRG-6205', 'BRG-6206']);
    expect(labels('1.5h fault ')[0]).toBe('SHAFT SEAL ELU');
    expect(labels('read ')).toEqual(expect.arrayContaining(['Oil temperature']));
    expect(labels('1.5h no')).toEqual(expect.arrayContaining(['note', 'no parts']));
    expect(completionsOf('1.5h 2x brg-6204', context, likely)).toEqual([
      { label: 'BRG-6204', line: '1.5h 2x BRG-6204 ' },
    ]);
  });

  it('completes to lines that mean what they say', () =>
    fc.assert(
      fc.property(
        fc.constantFrom('', '1.5h ', '2x b', '2x ', 'fault ', 'fault l', 'read ', 'read o', 'no', '1.5h f'),
        (line) => {
          for (const completion of completionsOf(line, context, [])) {
            const unknown = meant(completion.line).filter(({ is }) => is === 'nothing');
            expect([completion.line, unknown]).toEqual([completion.line, []]);
          }
        },
      ),
    ));
});

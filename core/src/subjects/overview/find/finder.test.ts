import fc from 'fast-check';
import { Finder, type Findable } from './finder';
import { wantedWords, wordsOf } from './find-words';

const thing = (id: string, name: string, given: Partial<Findable> = {}): Findable => ({
  id,
  number: `W-${id}`,
  name,
  where: '',
  words: '',
  ...given,
});
const finderOf = (...things: readonly Findable[]): Finder<Findable> => {
  const finder = new Finder<Findable>();
  finder.put(things);
  return finder;
};
const ids = (finder: Finder<Findable>, typed: string): string[] => finder.find(typed, 10).map(({ id }) => id);

describe('words', () => {
  it('are parts of a number and its whole, in lower case and without accents', () => {
    expect(wordsOf('W-2571 Lärm')).toEqual(['w', '2571', 'larm', 'w2571']);
    expect(wantedWords(' LRK-G1  Lärm ')).toEqual(['lrkg1', 'larm']);
  });
});

describe('what is found', () => {
  const numbers = finderOf(thing('2571', 'Seal weeps'), thing('25', 'Pump 2571'), thing('12571', 'Belt'));

  it.each(['2571', 'W-2571', 'w2571', 'w 2571'])('stands first by its number, typed as “%s”', (typed) => {
    expect(ids(numbers, typed)[0]).toBe('2571');
  });

  it('has words together as they are typed before words apart', () => {
    const finder = finderOf(
      ...[1, 15, 2, 50].map((tower) => thing(`t${tower}`, `Knock at tower ${tower}, 5 bolts`)),
      thing('t5', 'Knock at tower 5 with every grip'),
    );
    expect(ids(finder, 'tower 5')[0]).toBe('t5');
  });

  it('has rare words before frequent ones, beginnings before middles, and whole words before beginnings', () => {
    const many = Array.from({ length: 20 }, (_, index) => thing(`m${index}`, 'Pump check'));
    expect(ids(finderOf(...many, thing('x', 'Pump winch')), 'pump winch')).toEqual(['x']);
    const finder = finderOf(thing('middle', 'Unbelted'), thing('begun', 'Beltway'), thing('whole', 'Belt'));
    expect(ids(finder, 'belt')).toEqual(['whole', 'begun', 'middle']);
  });

  it('is found by where and by all the rest, each word of its own', () => {
    const finder = finderOf(thing('a', 'Seal weeps', { where: 'Gearbox LRK-G1', words: 'Ines Okafor mechanical' }));
    for (const typed of ['ines gearbox', 'lrk-g1 seal', 'lrkg1', 'okaf mech'])
      expect(ids(finder, typed)).toEqual(['a']);
    expect(ids(finder, 'ines brake')).toEqual([]);
  });

  it('is found a letter off where nothing is found as it was typed', () => {
    const finder = finderOf(thing('a', 'Gearbox hums'), thing('b', 'Gear hums'));
    expect(ids(finder, 'gaerbox')).toEqual(['a']);
    expect(ids(finder, 'gearbxo')).toEqual(['a']);
    expect(ids(finder, 'gearbix')).toEqual(['a']);
  });

  it('prefers what is wanted more among equally likely ones, and never before a number', () => {
    const finder = finderOf(thing('1', 'Belt'), thing('2', 'Belt'));
    expect(finder.find('belt', 2, ({ id }) => Number(id === '1')).map(({ id }) => id)).toEqual(['1', '2']);
    expect(finder.find('W-2', 1, ({ id }) => Number(id === '1')).map(({ id }) => id)).toEqual(['2']);
  });

  it('follows what changes and what goes, and is nothing where nothing was typed', () => {
    const finder = finderOf(thing('a', 'Seal'));
    finder.put([thing('a', 'Belt')]);
    expect([ids(finder, 'seal'), ids(finder, 'belt'), finder.size]).toEqual([[], ['a'], 1]);
    finder.remove('a');
    expect([ids(finder, 'belt'), ids(finder, ' - ')]).toEqual([[], []]);
  });

  it('finds everything by its own number, and by any beginning of its own words', () => {
    const word = fc.stringMatching(/^[a-zäé]{2,8}$/);
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.nat(99_999), { minLength: 1, maxLength: 20 }),
        fc.array(word, { minLength: 1 }),
        (all, words) => {
          const things = all.map((each, index) => thing(String(each), words[index % words.length] ?? ''));
          const finder = finderOf(...things);
          for (const each of things) {
            expect(finder.find(each.number, 1)[0]?.id).toBe(each.id);
            expect(finder.find(each.name.slice(0, 2), 100).map(({ id }) => id)).toContain(each.id);
          }
        },
      ),
      { numRuns: 50 },
    );
  });
});

it('few that are picked out of many are the first of all of them, and what is taken out is known no more', () => {
  const word = fc.constantFrom('seal', 'pump', 'leaks', 'tower', 'grip');
  const rows = fc
    .array(fc.tuple(fc.array(word, { minLength: 1, maxLength: 4 }), fc.nat({ max: 400 })), {
      minLength: 1,
      maxLength: 400,
    })
    .map((drawn) => drawn.map(([words, number], at) => thing(`${at}`, words.join(' '), { number: `W-${number}` })));
  fc.assert(
    fc.property(rows, word, fc.integer({ min: 1, max: 6 }), (things, typed, most) => {
      const finder = finderOf(...things);
      const all = finder.find(typed, things.length).map(({ number, name }) => `${number} ${name}`);
      expect(finder.find(typed, most).map(({ number, name }) => `${number} ${name}`)).toEqual(all.slice(0, most));
      for (const { id } of things) finder.remove(id);
      finder.put([thing('left', 'Nothing of it')]);
      expect(ids(finder, 'towerx')).toEqual([]);
    }),
    { numRuns: 60 },
  );
});

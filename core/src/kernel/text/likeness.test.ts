import fc from 'fast-check';
import { likeness } from './likeness';

describe('likeness of words', () => {
  it('finds a word in other forms, with accents and in any case', () => {
    const [bearings, lamps] = likeness('Bearing läuft heiß', ['BEARINGS changed', 'Lamps changed']);
    expect(bearings).toBeGreaterThan(0);
    expect(lamps).toBe(0);
    expect(likeness('Räder', ['rader', 'Bänder'])).toEqual([1, 0]);
  });

  it('counts a word that few texts have for more than one that many have', () => {
    const [seal, pump] = likeness('pump seal', ['change the seal', 'pump check', 'pump start', 'pump stop']);
    expect(seal).toBeGreaterThan(pump ?? 1);
  });

  it('is 0 where nothing is wanted, or nothing is shared', () => {
    expect(likeness('', ['a text'])).toEqual([0]);
    expect(likeness('of it', ['of it'])).toEqual([0]);
    expect(likeness('seal', [])).toEqual([]);
  });

  it('lies between 0 and 1, and is 1 for the wanted words themselves', () => {
    const someWords = fc.array(fc.constantFrom('seal', 'pump', 'belts', 'hose', 'valve', 'grip', 'oil'), {
      maxLength: 5,
    });
    fc.assert(
      fc.property(someWords, fc.array(someWords, { maxLength: 6 }), (wanted, texts) => {
        const all = [...texts, wanted].map((words) => words.join(' '));
        const scores = likeness(wanted.join(' '), all);
        for (const score of scores) expect(score >= 0 && score <= 1 + 1e-12).toBe(true);
        if (wanted.length > 0) expect(scores.at(-1)).toBeCloseTo(1);
      }),
    );
  });
});

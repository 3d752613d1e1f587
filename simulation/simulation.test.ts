import { deedsOfWork, historyOf, kindsOfBefore } from './history';
import { shrink } from './shrink';
import { simulate } from './simulate';

const SEEDS = 300;
/** Each group is a test of its own, and so has a bound of its own after which it counts as hanging. */
const GROUP = 10;

describe('simulated shifts', () => {
  for (let first = 1; first <= SEEDS; first += GROUP) {
    it(`lose nothing, double nothing, and leave all equal, seeds ${first} to ${first + GROUP - 1}`, async () => {
      for (let seed = first; seed < first + GROUP; seed += 1) expect(await simulate(seed)).toBeNull();
    });
  }

  it.each([11_309, 20_048, 29_859])('keep the promises that seed %d once broke', async (seed) => {
    expect(await simulate(seed, { deeds: deedsOfWork, kinds: kindsOfBefore })).toBeNull();
  });

  // The server's present was the very time by which a clock that was ahead had stamped: sent back and forth for ever.
  it('come to an end where seed 2000285 once did not', async () => {
    expect(await simulate(2_000_285, { kinds: kindsOfBefore })).toBeNull();
  });

  // Of two windows that did not hear each other, one put aside what the server then took from the other.
  it('count what was taken after all as taken, as seed 3000537 once did not', async () => {
    expect(await simulate(3_000_537, { kinds: kindsOfBefore })).toBeNull();
  });

  it('are the same for the same seed', () => {
    expect(historyOf(7)).toEqual(historyOf(7));
    expect(historyOf(7)).not.toEqual(historyOf(8));
  });
});

describe('shrinking', () => {
  it('finds the few events that matter', async () => {
    const needed = (list: readonly number[]) => Promise.resolve(list.includes(13) && list.includes(57));
    expect(
      await shrink(
        Array.from({ length: 70 }, (_, index) => index),
        needed,
      ),
    ).toEqual([13, 57]);
  });
});

import { minutesLater } from '../testing/works';
import { couldKnow, madeKnownBy } from './known';

const at = (revision?: number) => ({ since: minutesLater(10), ...(revision === undefined ? {} : { revision }) });
const who = (seenRevision: number | null, minute = 10) => ({ knownUntil: minutesLater(minute), seenRevision });

describe('whether somebody could know', () => {
  it.each([
    ['has read that very revision', at(7), who(7), true],
    ['has read further', at(7), who(8), true],
    ['has not read so far', at(7), who(6), false],
    ['has read it, by a clock that was set back since', at(7), who(7, 5), true],
    ['has not read it, by a clock that is ahead', at(7), who(6, 20), false],
    ['cannot say what was read, and heard later', at(7), who(null, 11), true],
    ['cannot say what was read, and heard in that same moment', at(7), who(null, 10), false],
    ['has read it, where the server did not say under what', at(), who(7, 11), true],
    ['has not heard so late, where the server did not say under what', at(), who(7, 9), false],
  ] as const)('%s', (_, made, person, could) => {
    expect(couldKnow(made, person)).toBe(could);
  });

  it('is marked with the revision of the server, and without one on a phone', () => {
    expect(madeKnownBy({ now: minutesLater(3), revision: 12 })).toEqual({ since: minutesLater(3), revision: 12 });
    expect(madeKnownBy({ now: minutesLater(3), revision: null })).toEqual({ since: minutesLater(3) });
  });
});

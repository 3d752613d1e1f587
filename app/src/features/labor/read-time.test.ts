import fc from 'fast-check';
import { addMinutes, inZone } from '@oilcan/core/kernel';
import { noon } from '@oilcan/core/testing';
import { noTime, readTime, typedTime, type TypedTime } from './read-time';

const zone = 'Europe/Vienna';

describe('typed time', () => {
  const read = (given: Partial<TypedTime>) => readTime({ ...noTime, ...given }, noon, zone);

  it.each([
    [{ duration: '1:30' }, '09:30', 90],
    [{ duration: '1.5', start: '8:00' }, '07:00', 90],
    [{ duration: '90m', end: '11:00' }, '08:30', 90],
    [{ start: '08:00', end: '12:00' }, '07:00', 240],
    [{ start: '22:00', end: '06:00' }, '21:00', 480],
    [{ start: '10.30' }, '09:30', 90],
  ])('%j', (given, startedAt, minutes) => {
    expect(read(given)).toMatchObject({ ok: true, startedAt: expect.stringContaining(`T${startedAt}`), minutes });
  });

  it.each([
    [{}, 'duration'],
    [{ duration: 'long' }, 'duration'],
    [{ duration: '1', end: '25:00' }, 'end'],
    [{ duration: '1', start: 'early' }, 'start'],
  ])('%j is wrong at its field', (given, field) => {
    expect(read(given)).toMatchObject({ ok: false, field });
  });

  // IANA time zone database, Europe/Vienna: the clock is set forward on 2026-03-29 at 02:00, and back on 2026-10-25 at 03:00.
  it.each([
    ['2026-03-29', '01:30', '04:30', 120],
    ['2026-10-25', '01:30', '04:30', 240],
    ['2026-11-21', '22:00', '06:00', 480],
    // The day has 23 hours: a time that is an hour later on it is not the next day's.
    ['2026-03-29', '01:58', '01:59', 1],
  ])('on %s from %s to %s is %d minutes', (day, start, end, minutes) => {
    expect(read({ day, start, end })).toMatchObject({ ok: true, minutes });
  });

  it('with how long it took, on a day that was chosen', () => {
    expect(read({ day: '2026-11-20', start: '07:00', duration: '1.5' })).toMatchObject({
      ok: true,
      startedAt: '2026-11-20T06:00:00.000Z',
      minutes: 90,
    });
    expect(read({ day: '2026-11-20', duration: '1.5' })).toMatchObject({ ok: false, field: 'start' });
    expect(read({ day: '2026-02-30', start: '07:00', duration: '1' })).toMatchObject({ ok: false, field: 'day' });
  });

  it('reads back what it shows, unless the clock showed it twice', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 300 * 24 * 60 }), fc.integer({ min: 1, max: 23 * 60 }), (ago, minutes) => {
        const from = addMinutes(noon, -ago - minutes);
        const to = addMinutes(from, minutes);
        fc.pre(![from, to].some((at) => inZone(at, zone).getPossibleOffsets().length > 1));
        expect(readTime(typedTime(from, to, zone), noon, zone)).toEqual({ ok: true, startedAt: from, minutes });
      }),
    );
  });
});

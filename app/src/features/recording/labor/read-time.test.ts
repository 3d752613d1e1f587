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

  // Noon in Greenwich is 13:00 in Vienna.
  it('that has not come yet today is asked about, and with its day is read', () => {
    expect(read({ start: '20:00', duration: '1' })).toMatchObject({ ok: false, field: 'start', onDay: '2026-11-22' });
    expect(read({ start: '20:00', end: '21:00' })).toMatchObject({ ok: false, field: 'end', onDay: '2026-11-22' });
    expect(read({ start: '22:00', end: '21:00' })).toMatchObject({ ok: false, field: 'end', onDay: '2026-11-21' });
    expect(read({ start: '20:00', end: '21:00', day: '2026-11-22' })).toMatchObject({
      startedAt: '2026-11-22T19:00:00.000Z',
      minutes: 60,
    });
    // Over midnight nothing is asked: it is plain.
    expect(read({ start: '22:00', end: '06:00' })).toMatchObject({ ok: true, minutes: 480 });
  });

  it('says its day where somebody writes yesterday', () => {
    expect(read({ start: 'yesterday 14.20', duration: '1.5' })).toMatchObject({
      startedAt: '2026-11-22T13:20:00.000Z',
      minutes: 90,
    });
    expect(read({ start: 'yesterday 1420', end: '16:00' })).toMatchObject({ ok: true, minutes: 100 });
  });

  it('of a bare number is asked about from ten on', () => {
    expect(read({ duration: '4' })).toMatchObject({ ok: true, minutes: 240 });
    expect(read({ duration: '15' })).toMatchObject({ ok: false, sentence: '15 minutes or 15 hours?' });
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

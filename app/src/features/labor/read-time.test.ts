import { noon } from '@oilcan/core/testing';
import { readTime } from './time-sheet';

const zone = 'Europe/Vienna';

describe('typed time', () => {
  const read = (typedTime: Partial<Record<'duration' | 'start' | 'end', string>>) =>
    readTime({ duration: '', start: '', end: '', ...typedTime }, noon, zone);

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
});

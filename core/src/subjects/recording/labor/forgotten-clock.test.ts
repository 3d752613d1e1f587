import { addMinutes, parseInstant } from '../../../kernel/time/instant';
import { ann, anEntry, bob, site, workId } from '../../../testing/builders';
import type { Clock } from './clock';
import { isProbablyForgotten, proposedEnds } from './forgotten-clock';

const vienna = 'Europe/Vienna';
const SHIFT = 480;
const at = (text: string) => parseInstant(`${text}+01:00`);
const clockSince = (text: string): Clock => ({ id: ann.id, siteId: site, workOrderId: workId, startedAt: at(text) });

describe('a clock that was probably forgotten', () => {
  it.each([
    ['since yesterday afternoon', '2026-11-23T14:00', true],
    ['of a night shift that is not over', '2026-11-23T22:00', false],
    ['of today', '2026-11-24T00:10', false],
  ])('is one %s: %s, %s', (_, since, isForgotten) => {
    expect(isProbablyForgotten(clockSince(since), at('2026-11-24T07:00'), vienna, SHIFT)).toBe(isForgotten);
  });

  it('is none that is paused', () => {
    const paused: Clock = { ...clockSince('2026-11-23T14:00'), isPaused: true };
    expect(isProbablyForgotten(paused, at('2026-11-24T07:00'), vienna, SHIFT)).toBe(false);
  });

  it('probably stopped with the last record, or at the end of the shift that began with the first', () => {
    const clock = clockSince('2026-11-23T14:00');
    const note = (text: string, by = ann.id) => anEntry({ kind: 'note', text: '' }, { at: at(text), by });
    const began = anEntry(
      {
        kind: 'labor',
        personId: ann.id,
        startedAt: at('2026-11-23T07:30'),
        minutes: 60,
        timeType: 'regular',
        rate: null,
        cost: null,
      },
      { at: at('2026-11-23T08:30') },
    );
    const entries = [began, note('2026-11-23T15:05'), note('2026-11-23T14:20'), note('2026-11-23T16:00', bob.id)];
    expect(proposedEnds(clock, entries, at('2026-11-24T07:00'), vienna, SHIFT)).toEqual([
      { by: 'last entry', at: at('2026-11-23T15:05') },
      { by: 'end of shift', at: at('2026-11-23T15:30') },
    ]);
  });

  it('where nothing else is known, ran for a shift', () => {
    const clock = clockSince('2026-11-23T14:00');
    expect(proposedEnds(clock, [], at('2026-11-24T07:00'), vienna, SHIFT)).toEqual([
      { by: 'end of shift', at: addMinutes(clock.startedAt, SHIFT) },
    ]);
  });
});

import { asId, type LocalDay, type PlaceId } from '@oilcan/core/kernel';
import { aWorkOrder, minutesLater, noon } from '@oilcan/core/testing';
import { choicesAmong, everything, isNarrowed, isWithin, narrowedTo, readNarrowing, toggled } from './narrowing';

const summit = asId<PlaceId>('summit');
const works = [
  aWorkOrder({ urgency: 'now', kind: 'corrective', tradeId: 'mechanical' }),
  aWorkOrder({ urgency: 'week', kind: 'corrective', tradeId: 'electrical', placeId: summit }),
  aWorkOrder({ urgency: 'week', kind: 'inspection', tradeId: 'electrical', state: 'held' }),
];
const words = { trade: (id: string) => id.toUpperCase(), place: () => undefined, day: (day: string) => day };
const present = { now: noon, zone: 'Europe/Vienna' };
const left = (narrowing: typeof everything): number =>
  works.filter((work) => isWithin(work, narrowing, present)).length;

describe('narrowing the Shift list', () => {
  it('leaves all until something is wanted', () => {
    expect([left(everything), isNarrowed(everything)]).toEqual([3, false]);
  });

  it('adds up within an aspect and narrows across aspects', () => {
    const week = toggled(everything, 'urgency', 'week');
    expect([left(week), left(toggled(week, 'urgency', 'now')), left(toggled(week, 'kind', 'inspection'))]).toEqual([
      2, 3, 1,
    ]);
    expect(toggled(week, 'urgency', 'week')).toEqual(everything);
  });

  it('offers what there is, in its order, with how many, and leaves out what is all the same', () => {
    const among = choicesAmong(works, everything, words, present);
    expect(among.map(({ word, choices }) => [word, choices.map((choice) => `${choice.word} ${choice.count}`)])).toEqual(
      [
        ['Urgency', ['Now 1', 'This week 2']],
        ['Place', ['place 2', 'summit 1']],
        ['Kind', ['Corrective 2', 'Inspection 1']],
        ['Trade', ['ELECTRICAL 2', 'MECHANICAL 1']],
        ['State', ['Ready 2', 'Held 1']],
      ],
    );
    expect(choicesAmong([aWorkOrder()], everything, words, present)).toEqual([]);
  });

  it('keeps offering what is wanted when none is left of it', () => {
    const narrowing = toggled(everything, 'urgency', 'free');
    const among = choicesAmong(works, narrowing, words, present);
    expect(among[0]?.choices.map(({ word, count }) => [word, count])).toContainEqual(['When free', 0]);
    expect(narrowedTo(toggled(narrowing, 'kind', 'inspection'), among)).toBe('When free, Inspection');
  });

  it('survives a reload, and nonsense in its place', () => {
    const narrowing = toggled(toggled(everything, 'place', summit), 'state', 'held');
    expect(readNarrowing(JSON.parse(JSON.stringify(narrowing)))).toEqual(narrowing);
    for (const kept of [undefined, null, '', 7, [], { urgency: 'now' }])
      expect(readNarrowing(kept)).toEqual(everything);
    expect(readNarrowing({ urgency: ['now', 7], price: ['high'] })).toEqual({ ...everything, urgency: ['now'] });
  });

  it('knows work by its time: late, today, within a week, its days, put off', () => {
    const [late, planned, far, putOff] = [
      aWorkOrder({ dueAt: minutesLater(-24 * 60) }),
      aWorkOrder({ plannedOn: '2026-11-25' as LocalDay, dueAt: minutesLater(10 * 24 * 60) }),
      aWorkOrder({ dueAt: minutesLater(9 * 24 * 60) }),
      aWorkOrder({
        dueAt: minutesLater(60),
        putOff: {
          until: '2026-11-26' as LocalDay,
          reason: 'Weather',
          by: aWorkOrder().personIds[0] ?? asId('ann'),
          at: noon,
        },
      }),
    ];
    const among = [late, planned, far, putOff];
    const those = (...time: string[]): number[] =>
      among.flatMap((work, index) => (isWithin(work, { ...everything, time }, present) ? [index] : []));
    expect(those('late')).toEqual([0]);
    expect(those('today')).toEqual([3]);
    expect(those('week')).toEqual([1, 3]);
    expect(those('2026-11-25', '2026-12-02')).toEqual([1, 2]);
    expect(those('putOff')).toEqual([3]);
    expect(
      choicesAmong(among, everything, words, present)[0]?.choices.map(({ word, count }) => `${word} ${count}`),
    ).toEqual(['Late 1', 'Today 1', 'Within a week 2', 'Put off 1', '2026-11-25 1']);
  });
});

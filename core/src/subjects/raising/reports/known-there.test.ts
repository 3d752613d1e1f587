import fc from 'fast-check';
import { asId, type AssetId, type PlaceId, type ReportId, type WorkOrderId } from '../../../kernel/ids';
import { anAsset, assetId, aWorkOrder, bob, noon } from '../../../testing/builders';
import { aReport, somePlace } from '../../../testing/report-builders';
import { minutesLater } from '../../../testing/works';
import { WhatIsKnown, type Known } from './known-there';
import { answerTimes, problemsToAnswer } from './to-answer';

const elsewhere = asId<AssetId>('elsewhere');
const plant = {
  assets: [
    anAsset(),
    anAsset({ id: asId<AssetId>('seal'), parentId: assetId, name: 'Seal' }),
    anAsset({ id: elsewhere, placeId: asId<PlaceId>('far') }),
  ],
  places: [somePlace],
};
const here = { assetId, placeId: null };
const work = (id: string, title: string, given: Parameters<typeof aWorkOrder>[0] = {}) =>
  aWorkOrder({ id: asId<WorkOrderId>(id), title, reason: '', ...given });
const report = (id: string, words: string, given: Parameters<typeof aReport>[0] = {}) =>
  aReport({ id: asId<ReportId>(id), words, ...given });
const idsOf = (known: readonly Known[]): string[] =>
  known.map((each) => (each.is === 'work' ? each.work.id : each.report.id));

describe('what is known there already', () => {
  const works = [
    work('leak', 'Gearbox output seal weeping oil'),
    work('noise', 'Bearing is noisy'),
    work('far', 'Gearbox output seal weeping oil', { assetId: elsewhere, placeId: asId<PlaceId>('far') }),
    work('planned', 'Change the oil', { kind: 'preventive' }),
    work('done', 'Oil on the floor', { state: 'finished' }),
  ];
  const known = new WhatIsKnown(works, [report('p-9', 'Oil drips on the floor', { by: bob.id })], plant);

  it('is everything open on the machine before a word is typed', () => {
    expect(new Set(idsOf(known.find(here, '', 10)))).toEqual(new Set(['leak', 'noise', 'p-9']));
  });

  it('is found by the words, also while the last one is being typed', () => {
    expect(idsOf(known.find(here, 'oil', 2))).toEqual(expect.arrayContaining(['leak', 'p-9']));
    expect(idsOf(known.find(here, 'bea', 1))[0]).toBe('noise');
    expect(idsOf(known.find(here, 'the bearing is nois', 1))[0]).toBe('noise');
  });

  it('is also what was reported on the machine in quite other words and still waits', () => {
    expect(idsOf(known.find(here, 'bearing is noisy', 2))).toEqual(['noise', 'p-9']);
    expect(idsOf(known.find({ assetId: elsewhere, placeId: null }, 'bearing is noisy', 2))).toEqual(['noise']);
  });

  it('is not what planned work would do, nor what is done', () => {
    expect(idsOf(known.find(here, 'change the oil', 10))).not.toEqual(expect.arrayContaining(['planned', 'done']));
  });

  it('is found without a machine by most of its words', () => {
    expect(idsOf(known.find({ assetId: null, placeId: null }, 'output seal weeping', 10))).toEqual(
      expect.arrayContaining(['leak', 'far']),
    );
  });

  it('is a part’s where the machine is asked about', () => {
    const onPart = new WhatIsKnown([work('part', 'Seal weeps oil', { assetId: asId<AssetId>('seal') })], [], plant);
    expect(idsOf(onPart.find(here, 'seal oil', 10))).toEqual(['part']);
  });

  it('is never more than is asked for, and the same whatever order the rows come in', () =>
    fc.assert(
      fc.property(fc.shuffledSubarray(works), fc.string({ maxLength: 12 }), fc.nat(4), (some, words, most) => {
        const found = new WhatIsKnown(some, [], plant).find(here, words, most);
        const again = new WhatIsKnown([...some].reverse(), [], plant).find(here, words, some.length);
        expect(found.length).toBeLessThanOrEqual(most);
        expect(new Set(idsOf(again))).toEqual(new Set(idsOf(new WhatIsKnown(some, [], plant).find(here, words, 9))));
      }),
    ));
});

describe('what waits for an answer', () => {
  it('stands worst first, likely doubles together', () => {
    const reports = [
      report('calm', 'Sign is faded', { urgency: 'free' }),
      report('oil', 'Oil drips from the gearbox'),
      report('urgent', 'Rope is off the wheel', { urgency: 'now' }),
      report('oil-2', 'Gearbox drips oil', { at: minutesLater(5) }),
      report('oil-far', 'Gearbox drips oil', { assetId: elsewhere }),
      report('over', 'Oil drips from the gearbox', { state: 'taken' }),
    ];
    expect(
      problemsToAnswer(reports).map((problem) => idsOf(problem.map((each) => ({ is: 'report', report: each })))),
    ).toEqual([['urgent'], ['oil', 'oil-2'], ['oil-far'], ['calm']]);
  });

  it('holds every open report exactly once', () =>
    fc.assert(
      fc.property(fc.array(fc.constantFrom('oil leaks', 'oil', 'noise', 'a', ''), { maxLength: 8 }), (words) => {
        const reports = words.map((each, index) => report(`p-${index}`, each));
        const ids = problemsToAnswer(reports)
          .flat()
          .map(({ id }) => id);
        expect([...ids].sort()).toEqual(reports.map(({ id }) => id).sort());
      }),
    ));
});

describe('how fast reports are answered', () => {
  // NIST/SEMATECH e-Handbook 1.3.5.1: the median is the middle value, or the mean of the two middle ones.
  it('is told by the median of first answers, with what waits beside it', () => {
    const answeredAfter = [10, 50, 20].map((minutes, index) =>
      report(`a-${index}`, 'x', { answeredAt: minutesLater(minutes), state: 'taken' }),
    );
    const now = minutesLater(60);
    expect(answerTimes([...answeredAfter, report('w', 'x')], now, 30)).toEqual({
      medianMinutes: 20,
      answered: 3,
      waiting: 1,
    });
    expect(answerTimes(answeredAfter.slice(0, 2), now, 30).medianMinutes).toBe(30);
    expect(answerTimes([], noon, 30).medianMinutes).toBeNull();
  });

  it('does not count what was reported before those days', () => {
    const old = report('old', 'x', { answeredAt: minutesLater(10), state: 'taken' });
    expect(answerTimes([old], minutesLater(31 * 24 * 60), 30).medianMinutes).toBeNull();
  });
});

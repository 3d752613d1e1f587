import { asId, type EntryId, type PartId, type PointId, type WorkOrderId } from '../../../kernel/ids';
import { addMinutes, type Instant } from '../../../kernel/time/instant';
import { entryKinds } from '../../../registry/entries';
import { ann, anEntry, aStep, aUse, aWorkOrder, binId, bob, noon, partId, pointId } from '../../../testing/builders';
import { summarise, type PastJob } from '../../past/past/past-job';
import { usualLimits } from '../../orders/settings/review-limits';
import type { EntryContent } from '../../orders/work/entries';
import { inOrderOfReview } from './review';
import { unusualOf, type LookedAt } from './unusual';

const work = aWorkOrder({
  state: 'finished',
  finishedAt: noon,
  finishedBy: ann.id,
  estimateMinutes: 60,
  kit: [{ partId, binId, quantity: 1_000, unit: null }],
});
const labor = (minutes: number, startedAt: Instant = addMinutes(noon, -minutes)): EntryContent => ({
  kind: 'labor',
  personId: ann.id,
  startedAt,
  minutes,
  timeType: 'regular',
  tradeId: 'mechanical',
  rate: null,
  cost: null,
});
const fault = (given: object = {}): EntryContent => ({
  kind: 'fault',
  component: 'Seal',
  mode: 'ELU',
  mechanism: '',
  cause: '3.4',
  detection: 8,
  activity: 1,
  text: '',
  ...given,
});
const part = (id: string): EntryContent => ({ ...aUse(1_000), partId: asId<PartId>(id) }) as EntryContent;
const reading = (value: number, level: 'normal' | 'alert' | 'alarm'): EntryContent => ({
  kind: 'reading',
  pointId,
  value,
  level,
});
const entries = (...contents: EntryContent[]) =>
  contents.map((content, index) => anEntry(content, { id: asId<EntryId>(`e-${index}`) }));

/** An ordinary job: coded, in time, with what was planned. */
const ordinary: LookedAt = {
  work,
  entries: entries(fault(), labor(60), part(partId)),
  steps: [],
  answeredPoints: new Set(),
  ledOn: false,
  before: [],
  usual: null,
  costMinor: 0,
  usualCostsMinor: [],
};
const unusual = (given: Partial<LookedAt>) => unusualOf({ ...ordinary, ...given }, usualLimits);
const pastAt = (daysBefore: number, number: string): PastJob =>
  summarise(
    entryKinds,
    aWorkOrder({ id: asId<WorkOrderId>(number), createdAt: addMinutes(work.createdAt, -daysBefore * 1_440) }),
    entries(fault()),
  );

describe('finished work', () => {
  it('that went as planned is nothing unusual', () => {
    expect(unusual({})).toEqual([]);
  });

  it('that took twice its estimate is, or hardly any of it; twice of very little is not', () => {
    const of = (minutes: number) => entries(fault(), labor(minutes));
    expect(unusual({ entries: of(119) })).toEqual([]);
    expect(unusual({ entries: of(120) })).toEqual([{ is: 'overEstimate', minutes: 120, estimateMinutes: 60 }]);
    expect(unusual({ entries: of(6) })).toEqual([{ is: 'underEstimate', minutes: 6, estimateMinutes: 60 }]);
    expect([unusual({ entries: of(7) }), unusual({ entries: of(0) })]).toEqual([[], []]);
    const small = { ...work, estimateMinutes: 10 };
    expect(unusual({ work: small, entries: of(39) })).toEqual([]);
    expect(unusual({ work: { ...work, estimateMinutes: 0 }, entries: of(500) })).toEqual([]);
  });

  it('that took parts nobody planned is, unless nothing is known of what such jobs take', () => {
    const taken = entries(fault(), part('other'), part('other'), part(partId));
    expect(unusual({ entries: taken })).toEqual([{ is: 'unplannedParts', partIds: ['other'] }]);
    const usual = { parts: [{ partId: asId<PartId>('other'), jobs: 2, quantity: 1_000 }], jobs: [] };
    expect(unusual({ entries: taken, usual: usual as unknown as LookedAt['usual'] })).toEqual([]);
    expect(unusual({ work: { ...work, kit: [] }, entries: taken })).toEqual([]);
  });

  it('that repaired something is coded, or says that no fault was found; other work need not', () => {
    expect(unusual({ entries: entries(labor(60)) })).toEqual([{ is: 'notCoded', isMissing: true }]);
    expect(unusual({ entries: entries(fault({ cause: '' })) })).toEqual([{ is: 'notCoded', isMissing: false }]);
    expect(unusual({ entries: entries({ kind: 'none', of: 'fault' }) })).toEqual([]);
    expect(unusual({ work: { ...work, kind: 'preventive' }, entries: [] })).toEqual([]);
  });

  it('that leaves a reading beyond its alarm leads to further work', () => {
    const given = entries(fault(), reading(90, 'alarm'));
    expect(unusual({ entries: given })).toEqual([{ is: 'alarm', pointId, value: 90 }]);
    expect(unusual({ entries: given, answeredPoints: new Set<PointId>([pointId]) })).toEqual([]);
    expect(unusual({ entries: given, ledOn: true })).toEqual([]);
    expect(unusual({ entries: entries(fault(), reading(90, 'alarm'), reading(60, 'normal')) })).toEqual([]);
  });

  it('that leaves a value beyond its alert is told, also one that a step asked for at no measuring point', () => {
    const limits = { alarmLow: null, alertLow: 60, alertHigh: null, alarmHigh: null };
    const question = { type: 'number', unit: 'min', decimals: 0, limits, pointId: null } as const;
    const answered = (value: number) =>
      aStep(1, question, {
        text: 'Test run',
        answer: { value: { type: 'number', value }, at: noon, by: ann.id, entryId: asId('e') },
      });
    expect(unusual({ steps: [answered(60)] })).toEqual([]);
    expect(unusual({ steps: [answered(1)] })).toEqual([
      { is: 'answerBeyond', level: 'alert', step: 'Test run', value: 1, unit: 'min' },
    ]);
    expect(unusual({ steps: [answered(1)], ledOn: true })).toEqual([]);
    // At a measuring point the reading tells it, once.
    const atPoint = { ...answered(1), question: { ...question, pointId } };
    expect(unusual({ steps: [atPoint], entries: entries(fault(), reading(1, 'alert')) })).toEqual([
      { is: 'alert', pointId, value: 1 },
    ]);
  });

  it('with a skipped step, or time written down a day later, or missing time, is worth a look', () => {
    const skipped = aStep(
      1,
      { type: 'tick' },
      {
        answer: { value: { type: 'skipped', reason: 'Frozen' }, at: noon, by: ann.id, entryId: asId('e') },
      },
    );
    expect(unusual({ steps: [skipped, aStep(2)] })).toEqual([{ is: 'skipped', steps: [skipped.text] }]);
    const late = entries(fault(), labor(60, addMinutes(noon, -60 - 25 * 60)));
    expect(unusual({ entries: late })).toEqual([{ is: 'recordedLate', hours: 25, personId: ann.id }]);
    expect(unusual({ work: { ...work, timeOwedBy: [bob.id] } })).toEqual([{ is: 'timeMissing', personIds: [bob.id] }]);
  });

  it('whose failure came back much sooner than usual is; after its usual gap, or with too few gaps, it is not', () => {
    const every100 = [pastAt(330, 'a'), pastAt(230, 'b'), pastAt(130, 'c'), pastAt(20, 'd')];
    expect(unusual({ before: every100 })).toMatchObject([{ is: 'repeat', mode: 'ELU', usualDays: 100, days: 20 }]);
    expect(unusual({ before: every100.slice(1) })).toEqual([]);
    expect(unusual({ before: every100.slice(0, 3).concat(pastAt(430, 'e')) })).toEqual([]);
  });

  it('that cost far more than such jobs is, by their median and deviation', () => {
    // Median 100, absolute deviations 4 2 0 2 4: their median 2, so a deviation is 2.9652 and the limit 108.9; half as much again is 150.
    const inHundreds = (figures: readonly number[]) => figures.map((each) => each * 100);
    const usualCostsMinor = inHundreds([96, 98, 100, 102, 104]);
    expect(unusual({ usualCostsMinor, costMinor: 14_900 })).toEqual([]);
    expect(unusual({ usualCostsMinor, costMinor: 15_000 })).toEqual([
      { is: 'cost', minor: 15_000, usualMinor: 10_000 },
    ]);
    // Median 100, deviations 60 50 0 50 60: the limit is 100 + 3 · 74.13 = 322.4.
    const wide = inHundreds([40, 50, 100, 150, 160]);
    expect(unusual({ usualCostsMinor: wide, costMinor: 32_200 })).toEqual([]);
    expect(unusual({ usualCostsMinor: wide, costMinor: 32_300 })).toHaveLength(1);
    // Where such jobs cost nothing, a little is nothing unusual.
    expect(unusual({ usualCostsMinor: [0, 0, 0, 0, 0], costMinor: 1 })).toEqual([]);
    expect(unusual({ usualCostsMinor: [0, 0, 0, 0, 0], costMinor: 2_000 })).toHaveLength(1);
    expect(unusual({ usualCostsMinor: wide.slice(1), costMinor: 999_900 })).toEqual([]);
  });
});

it('is looked at with the most unusual first, of equals what waits longest', () => {
  const of = (id: string, count: number, minutes: number) => ({
    id,
    unusual: Array.from({ length: count }, () => ({ is: 'notCoded' as const, isMissing: true })),
    finishedAt: addMinutes(noon, minutes),
  });
  const waiting = [of('a', 0, 0), of('b', 1, 5), of('c', 1, 3), of('d', 2, 9)];
  expect(inOrderOfReview(waiting).map(({ id }) => id)).toEqual(['d', 'c', 'b', 'a']);
});

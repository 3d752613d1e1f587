import { chanceOf } from '../../../testing/chance';
import fc from 'fast-check';
import { asId, type AssetId, type EntryId, type PartId, type PlaceId, type WorkOrderId } from '../../../kernel/ids';
import { aPastJob, aWorkOrder, ann, noon, anEntry } from '../../../testing/builders';
import { addMinutes, type Instant } from '../../../kernel/time/instant';
import type { Entry, EntryContent } from '../../orders/work/entries';
import { findingsOf, modesOf } from './findings';
import { type PastFilter } from './past-events';
import { entryKinds } from '../../../registry/entries';
import { countEvents, pastEventKinds, recordedOn, wantedEvents, pastJobsOf } from '../../../registry/past';
import { isFailure, problemsAmong, summarise, type PastJob } from './past-job';
import { type Recurrence, repetitionsOf, type Silence } from './recurrence';
import { stretchBegins, watchedSince } from './past-answer';

const daysAgo = (days: number): Instant => addMinutes(noon, Math.round(-days * 24 * 60));
const window = { from: daysAgo(1_000), to: noon };
const seal = asId<PartId>('seal');

const until = (to: Instant) => ({ from: daysAgo(1_000), to });
const recurrencesOf = (jobs: readonly PastJob[], to: Instant): readonly Recurrence[] =>
  repetitionsOf(jobs, until(to)).recurrences;
const silencesOf = (jobs: readonly PastJob[], to: Instant): readonly Silence[] =>
  repetitionsOf(jobs, until(to)).silences;

const sealFault = { mode: 'ELU', mechanism: '1.1', cause: '3.3', detection: 8, activity: 1, component: 'Output seal' };
const standstill = { from: daysAgo(1), to: null, extent: 'full', isPlanned: false } as const;
let count = 0;
const job = (days: number, given: Partial<PastJob> = {}): PastJob => {
  count += 1;
  return aPastJob({
    id: asId<WorkOrderId>(`w-${count}`),
    at: daysAgo(days),
    endedAt: daysAgo(days - 0.2),
    faults: [sealFault],
    ...given,
  });
};

describe('a work order of the past', () => {
  const entry = (content: EntryContent, given: Partial<Entry> = {}): Entry => {
    count += 1;
    return anEntry(content, { id: asId<EntryId>(`e-${count}`), ...given });
  };
  const cost = { minor: 0, currency: 'EUR' } as never;
  const labor = (from: number, minutes: number, timeType: 'regular' | 'travel' = 'regular'): EntryContent => ({
    kind: 'labor',
    personId: ann.id,
    startedAt: addMinutes(noon, from),
    minutes,
    timeType,
    rate: null,
    cost,
  });

  it('counts the time in which anybody worked once, and travel not at all', () => {
    const { activeMinutes } = summarise(entryKinds, aWorkOrder(), [
      entry(labor(0, 60)),
      entry(labor(30, 60)),
      entry(labor(-200, 100, 'travel')),
      entry(labor(300, 30)),
    ]);
    expect(activeMinutes).toBe(120);
    expect(summarise(entryKinds, aWorkOrder(), []).activeMinutes).toBe(0);
  });

  it('begins with its unplanned stoppage, adds up parts, and leaves out what was taken back', () => {
    const stopped = (from: number, isPlanned: boolean) =>
      entry({ kind: 'stoppage', from: addMinutes(noon, from), to: null, extent: 'full', isPlanned });
    const part = (quantity: number) =>
      entry({ kind: 'part', partId: seal, binId: asId('bin'), quantity, unitPrice: cost, cost });
    const wrong = part(5_000);
    const past = summarise(entryKinds, aWorkOrder(), [
      stopped(-90, true),
      stopped(-30, false),
      part(1_000),
      part(500),
      wrong,
      entry({ kind: 'withdrawal', reason: '' }, { amends: wrong.id }),
      entry({ kind: 'note', text: 'later' }, { at: addMinutes(noon, 5) }),
      entry({ kind: 'note', text: 'earlier' }),
    ]);
    expect(past.at).toBe(addMinutes(noon, -30));
    expect(past.parts).toEqual([{ partId: seal, quantity: 1_500 }]);
    expect(past.notes).toEqual(['earlier', 'later']);
  });

  // ISO 14224:2016, 3.23 (from memory): a failure is the loss of the ability to perform as required.
  it.each<[string, boolean, Partial<PastJob>]>([
    ['corrective work that is done', true, {}],
    ['what nobody has begun', false, { state: 'ready', endedAt: null }],
    ['what goes on and has no fault yet', false, { state: 'underway', endedAt: null }],
    ['what goes on with a coded fault', true, { state: 'underway', endedAt: null, faults: [sealFault] }],
    ['what goes on and stands still', true, { state: 'held', endedAt: null, stoppages: [standstill] }],
    ['what was dropped', false, { state: 'dropped', faults: [sealFault] }],
    ['preventive work', false, { kind: 'preventive', faults: [sealFault] }],
    ['painting, of which somebody says that there was no failure', false, { saidNone: ['fault'] }],
  ])('counts as a failure or not: %s', (_, isOne, given) => {
    expect(isFailure(aPastJob(given))).toBe(isOne);
  });

  it('fails no more often because work was raised: what follows from a failure, and what is no failure, changes nothing', () => {
    const failed = aPastJob({ id: asId<WorkOrderId>('first') });
    const raised = [
      aPastJob({ id: asId<WorkOrderId>('follow-up'), cameFrom: failed.id }),
      aPastJob({ id: asId<WorkOrderId>('follow-up-of-it'), cameFrom: asId<WorkOrderId>('follow-up') }),
      aPastJob({ id: asId<WorkOrderId>('not-begun'), state: 'ready', endedAt: null }),
      aPastJob({ id: asId<WorkOrderId>('painting'), saidNone: ['fault'] }),
    ];
    fc.assert(
      fc.property(fc.shuffledSubarray(raised, { minLength: raised.length }), (some) => {
        expect(problemsAmong([...some, failed])).toEqual([failed]);
      }),
    );
  });

  it('is one of each machine at which a round kept anything, and every note is in exactly one of them', () => {
    const own = aWorkOrder().assetId;
    const machines = ['pump', 'valve', 'fan'].map((id) => ({
      id: asId<AssetId>(id),
      placeId: asId<PlaceId>(`place of ${id}`),
    }));
    const anywhere = fc.constantFrom(own, ...machines.slice(0, 2).map(({ id }) => id));
    fc.assert(
      fc.property(fc.array(anywhere, { maxLength: 12 }), (assetIds) => {
        const entries = assetIds.map((assetId, index) => entry({ kind: 'note', text: `${index}` }, { assetId }));
        const [whole, ...atStops] = pastJobsOf(aWorkOrder(), entries, machines);
        expect(atStops.map(({ assetId }) => assetId)).toEqual(
          machines.map(({ id }) => id).filter((id) => assetIds.includes(id)),
        );
        const told = [whole, ...atStops].flatMap((each) => each?.notes ?? []);
        expect(told.map(Number).sort((a, b) => a - b)).toEqual(assetIds.map((_, index) => index));
        // The machines had no job of their own by it.
        expect(countEvents([...atStops]).work).toBe(0);
        expect(atStops.every(({ placeId, assetId }) => placeId === `place of ${assetId}`)).toBe(true);
      }),
    );
  });
});

describe('what recurs', () => {
  it('is what came three times, each within twice its usual gap, until now', () => {
    const jobs = [job(600), job(200), job(140), job(90), job(40, { notes: ['Fitted new seal.'] })];
    const [found, ...rest] = recurrencesOf(jobs, noon);
    expect(rest).toEqual([]);
    expect(found?.what).toEqual({ by: 'mode', mode: 'ELU', component: 'Output seal' });
    // The gap of 400 days is more than twice the usual 55: what came before it is another story.
    expect(found?.jobs.map(({ at }) => at)).toEqual([200, 140, 90, 40].map(daysAgo));
    expect(found?.heldDays.map(Math.round)).toEqual([60, 50, 50]);
    expect(Math.round(found?.spanDays ?? 0)).toBe(160);
    expect(found?.last).toMatchObject({ activity: 1, text: 'Fitted new seal.' });
  });

  it('does not go on once it has been quiet for long, nor with two times only', () => {
    expect(recurrencesOf([job(700), job(640), job(590)], noon)).toEqual([]);
    expect(recurrencesOf([job(60), job(30)], noon)).toEqual([]);
    expect(recurrencesOf([], noon)).toEqual([]);
  });

  it('does not depend on the order in which jobs are given', () => {
    const jobs = [job(30), job(100), job(65), job(130)];
    expect(recurrencesOf(jobs.toReversed(), noon)).toEqual(recurrencesOf(jobs, noon));
  });

  it('names a part that is used again and again under several modes, but not one that goes with its mode', () => {
    const parts = [{ partId: seal, quantity: 1_000 }];
    const same = [90, 60, 30].map((days) => job(days, { parts }));
    expect(recurrencesOf(same, noon).map(({ what }) => what.by)).toEqual(['mode']);
    const mixed = [90, 60, 30].map((days, index) =>
      job(days, { parts, faults: [{ ...sealFault, mode: ['ELU', 'NOI', 'VIB'][index] ?? '' }] }),
    );
    expect(recurrencesOf(mixed, noon).map(({ what }) => what)).toEqual([{ by: 'part', partId: seal }]);
  });

  it('keeps assets, modes and components apart', () => {
    const three = (given: Partial<PastJob>) => [90, 60, 30].map((days) => job(days, given));
    const jobs = [
      ...three({}),
      ...three({ assetId: asId<AssetId>('other') }),
      ...three({ faults: [{ ...sealFault, component: 'Input seal' }] }),
    ];
    expect(recurrencesOf(jobs, noon)).toHaveLength(3);
  });

  it('survives all at one time', () => {
    const jobs = [job(10), job(10), job(10), job(10)];
    expect(recurrencesOf(jobs, daysAgo(10))).toHaveLength(1);
    expect(recurrencesOf(jobs, noon)).toEqual([]);
    expect(silencesOf(jobs, noon)).toEqual([]);
  });
});

describe('silence', () => {
  it('means something when it is longer than chance would let it', () => {
    const jobs = [900, 860, 830, 790, 750].map((days) => job(days));
    const [found] = silencesOf(jobs, noon);
    expect(found?.quietDays).toBeCloseTo(750, 6);
    // (S / (S + q))ⁿ with S = 150, q = 750, n = 4.
    expect(found?.p).toBeCloseTo((150 / 900) ** 4, 12);
  });

  it('means nothing when it is short or the times were few', () => {
    const told = (...days: number[]) =>
      findingsOf(
        days.map((day) => job(day)),
        window,
      ).silences;
    expect(told(100, 80, 60, 40)).toEqual([]);
    expect(told(900, 890, 880)).toEqual([]);
    expect(told(900, 860, 830, 790, 750)).toHaveLength(1);
  });
});

describe('findings', () => {
  it('of no past, of one event, of all at one time, and of dates out of order are said without falling over', () => {
    expect(findingsOf([], window)).toMatchObject({
      failures: { jobs: [], trend: { is: 'too few', count: 0 } },
      recurrences: [],
      downtime: { minutes: 0 },
      repair: null,
    });
    expect(findingsOf([job(10)], window).failures?.meanDays.mean).toBeCloseTo(1_000, 6);
    expect(findingsOf([job(10), job(10), job(10), job(10), job(10)], window).failures?.jobs).toHaveLength(5);
    const odd = job(5, { endedAt: daysAgo(50) });
    expect(findingsOf([odd, job(-3), job(2_000)], window).failures?.jobs).toEqual([odd]);
    expect(findingsOf([job(1)], { from: noon, to: noon }).failures).toBeNull();
  });

  it('counts downtime of the last year once, full and unplanned only', () => {
    const stop = (from: number, to: number | null, given = {}) => ({
      from: daysAgo(from),
      to: to === null ? null : daysAgo(to),
      extent: 'full' as const,
      isPlanned: false,
      ...given,
    });
    const { downtime } = findingsOf(
      [
        job(3, { stoppages: [stop(3, 2)] }),
        job(3, { stoppages: [stop(2.5, 1.5), stop(1, 0.5, { extent: 'reduced' }), stop(1, 0.5, { isPlanned: true })] }),
        job(500, { stoppages: [stop(500, 490)] }),
        job(0.25, { stoppages: [stop(0.25, null)] }),
      ],
      window,
    );
    expect([downtime.minutes, downtime.jobs.length]).toEqual([(1.5 + 0.25) * 24 * 60, 3]);
  });

  it('counts modes for the Pareto, each once a job, uncoded ones as unknown', () => {
    const jobs = [job(1), job(2, { faults: [] }), job(3, { faults: [sealFault, sealFault] }), job(4)];
    expect(modesOf(jobs).map(({ mode, jobs: of }) => [mode, of.length])).toEqual([
      ['ELU', 3],
      ['UNK', 1],
    ]);
  });
});

describe('the list of a past', () => {
  const all: PastFilter = { kind: 'work', since: null, state: 'all', words: '', jobs: null, pointId: null };
  const reading = { pointId: asId<never>('point'), at: daysAgo(2), value: 71, level: 'normal' as const };
  const jobs = [
    job(5, { title: 'Seal', notes: ['Lip hard', 'New seal'] }),
    job(1, { title: 'Door', state: 'underway', endedAt: null, faults: [] }),
    job(3, { title: 'Round', kind: 'inspection', faults: [], readings: [reading] }),
  ];
  const titles = (filter: Partial<PastFilter>): string[] =>
    wantedEvents(jobs, { ...all, ...filter }).map((event) => event.job.title);

  it('is newest first, whatever the order of the rows', () => {
    expect(titles({})).toEqual(['Door', 'Round', 'Seal']);
  });

  it('counts the events of each kind as many as it lists', () => {
    const counts = countEvents(jobs);
    for (const kind of pastEventKinds) expect(titles({ kind })).toHaveLength(counts[kind]);
  });

  it('tells of one job what was recorded on it, and leaves out what was not', () => {
    const told = recordedOn(job(5, { readings: [reading], notes: ['Lip hard', 'New seal'] }));
    expect(told.map(({ kind, events }) => [kind, events.length])).toEqual([
      ['fault', 1],
      ['reading', 1],
      ['note', 2],
    ]);
  });

  it('is filtered by kind of event, period, state, words and the jobs behind a sentence', () => {
    expect(titles({ kind: 'fault' })).toEqual(['Seal']);
    expect(titles({ kind: 'note' })).toEqual(['Seal', 'Seal']);
    expect(titles({ kind: 'reading' })).toEqual(['Round']);
    expect(titles({ kind: 'reading', pointId: reading.pointId })).toEqual(['Round']);
    expect(titles({ kind: 'reading', pointId: asId<never>('another') })).toEqual([]);
    expect(titles({ since: daysAgo(4) })).toEqual(['Door', 'Round']);
    expect([titles({ state: 'open' }), titles({ state: 'ended' })]).toEqual([['Door'], ['Round', 'Seal']]);
    expect(titles({ words: 'LIP elu' })).toEqual(['Seal']);
    expect(titles({ words: 'no such thing' })).toEqual([]);
    expect(titles({ jobs: new Set([jobs[2]?.id ?? '']) })).toEqual(['Round']);
    expect(
      wantedEvents(jobs, { ...all, words: 'brg' }, ({ title }) => (title === 'Door' ? 'BRG-6204' : '')),
    ).toHaveLength(1);
  });
});

describe('what a past of pure chance says', () => {
  const LENGTH = 1_000;
  /** Failures at one rate (shape 1) or ever faster, each of a mode drawn with these weights. */
  const pastOf = (chance: () => number, failures: number, weights: readonly number[], shape = 1) => {
    const total = weights.reduce((sum, weight) => sum + weight, 0);
    const jobs = Array.from({ length: failures }, () => {
      let left = chance() * total;
      const mode = weights.findIndex((weight) => (left -= weight) <= 0);
      return job(LENGTH * (1 - chance() ** (1 / shape)), { faults: [{ ...sealFault, mode: `M${mode}` }] });
    });
    return findingsOf(jobs, window);
  };
  const isTrend = ({ failures }: ReturnType<typeof findingsOf>): boolean =>
    failures?.trend.is === 'faster' || failures?.trend.is === 'slower';
  const even = (modes: number): number[] => new Array<number>(modes).fill(1);
  const uneven = (modes: number): number[] => Array.from({ length: modes }, (_, index) => 1 / (index + 1));

  it.each<[string, number, readonly number[]]>([
    ['of one failure mode', 30, even(1)],
    ['of a few', 40, even(5)],
    ['of twenty', 60, even(20)],
    ['of twenty, of which some are frequent', 120, uneven(20)],
  ])('%s is false in at most one of twenty', (_, failures, weights) => {
    const chance = chanceOf(failures).next;
    const rounds = 600;
    let spoke = 0;
    for (let round = 0; round < rounds; round += 1) {
      const found = pastOf(chance, failures, weights);
      if (isTrend(found) || found.recurrences.length > 0 || found.silences.length > 0) spoke += 1;
    }
    // Five in a hundred, and two standard errors of what is counted here.
    expect(spoke / rounds).toBeLessThan(0.05 + 2 * Math.sqrt((0.05 * 0.95) / rounds));
  });

  it('keeps its power: failures of shape 2 are found by thirty of them in nine of ten', () => {
    const chance = chanceOf(2).next;
    const rounds = 1_000;
    let found = 0;
    for (let round = 0; round < rounds; round += 1)
      if (pastOf(chance, 30, even(20), 2).failures?.trend.is === 'faster') found += 1;
    expect(found / rounds).toBeGreaterThan(0.9);
  });

  it('still tells what comes back evenly, and what crowds towards the present', () => {
    const regular = Array.from({ length: 12 }, (_, index) => job(900 - index * 70 - (index % 3)));
    expect(findingsOf(regular, until(daysAgo(100))).recurrences).toHaveLength(1);
    const crowding = [job(40), job(30), job(20), job(5)];
    expect(findingsOf(crowding, window).recurrences).toHaveLength(1);
  });
});

describe('from when on a machine is watched', () => {
  const answer = (times: readonly Instant[]) => ({ recordsSince: stretchBegins(times) ?? noon, cutAt: null });
  const steady = [900, 850, 800, 700].map(daysAgo);

  it('is the first stretch of entries: wrong old dates do not count', () => {
    expect(stretchBegins(steady)).toBe(daysAgo(900));
    expect(stretchBegins([daysAgo(9_000), ...steady])).toBe(daysAgo(900));
    expect(stretchBegins([daysAgo(9_000), daysAgo(8_990), ...steady])).toBe(daysAgo(900));
    expect(stretchBegins([])).toBeNull();
  });

  it('is its date of service when that is later', () => {
    expect(watchedSince(answer(steady), '2026-01-01')).toBe('2026-01-01T00:00:00.000Z');
    expect(watchedSince(answer(steady), '2001-01-01')).toBe(daysAgo(900));
  });
});

describe('stoppages that cannot have been', () => {
  it('stop nothing, and their jobs are not named', () => {
    const stopped = (from: number, to: number) => ({
      from: daysAgo(from),
      to: daysAgo(to),
      extent: 'full' as const,
      isPlanned: false,
    });
    const jobs = [job(3, { stoppages: [stopped(2, 3)] }), job(3, { stoppages: [stopped(2, 2)] })];
    expect(findingsOf(jobs, window).downtime).toEqual({ minutes: 0, jobs: [] });
  });
});

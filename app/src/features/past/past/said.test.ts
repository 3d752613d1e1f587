import { addMinutes, asId, type AssetId, type PartId, type WorkOrderId } from '@oilcan/core/kernel';
import { findingsOf, type Findings, type PastJob } from '@oilcan/core/past/past';
import { aPastJob, noon } from '@oilcan/core/testing';
import { ordinal, sayEvery, saySpan, saySpans, sayStanding } from '../../../words/spans';
import { figuresOf, sentencesOf, usualTimeSaid, type NamesInPast } from './said';

const DAY = 24 * 60;
const daysAgo = (days: number) => addMinutes(noon, -days * DAY);
const seal = { component: 'Shaft seal', mode: 'ELU', mechanism: '', cause: '', detection: 8, activity: 1 };
const failure = (days: number, given: Partial<PastJob> = {}): PastJob =>
  aPastJob({
    id: asId<WorkOrderId>(`p-${days}`),
    at: daysAgo(days),
    endedAt: addMinutes(daysAgo(days), 300),
    activeMinutes: 0,
    ...given,
  });
const leak = (days: number, notes: readonly string[] = []): PastJob =>
  failure(days, { faults: [seal] as never, notes });
const findings = (jobs: readonly PastJob[], watchedDays = 1_000): Findings =>
  findingsOf(jobs, { from: daysAgo(watchedDays), to: noon });
const names: NamesInPast = { part: (id) => (id === 'seal-70' ? { name: 'Shaft seal 70' } : undefined), asset: null };
const said = (jobs: readonly PastJob[], watchedDays?: number): string[] =>
  sentencesOf(findings(jobs, watchedDays), names).map(({ text }) => text);

describe('what the past says', () => {
  it('is one to three sentences, each with its rows', () => {
    const jobs = [20, 80, 140, 200, 260].map((days) => leak(days));
    const sentences = sentencesOf(findings(jobs), names);
    expect(sentences.length).toBeGreaterThan(0);
    expect(sentences.length).toBeLessThanOrEqual(3);
    for (const { jobs: rows } of sentences) expect(rows.length).toBeGreaterThan(0);
  });

  it('names what comes back, what was done the last time, and how long it held before', () => {
    const [first] = said([leak(10, ['Polished the shaft']), leak(70), leak(130)]);
    expect(first).toBe(
      'Third shaft seal in 4 months, about every 2 months. Replaced 10 days ago: “Polished the shaft”. Repairs before that held 2 months.',
    );
    expect(said([leak(10, ['New seal in.']), leak(70), leak(130)])[0]).toContain('“New seal in.” Repairs');
  });

  it('says that it is being worked on when the last time is not over', () => {
    const [first] = said([{ ...leak(10), endedAt: null, state: 'underway' }, leak(70), leak(130)]);
    expect(first).toContain('It is being worked on now.');
  });

  it('names a part that is used again and again by its name', () => {
    const parts = [{ partId: asId<PartId>('seal-70'), quantity: 1_000 }];
    const [first] = said([failure(10, { parts }), failure(60, { parts }), failure(110, { parts })]);
    expect(first).toMatch(/^Third shaft seal 70 in/);
  });

  it('gives the mean with its range, and says when there are too few for a trend', () => {
    // From 159 to 2,814 days: 2·1000/χ² with χ²(0.95; 6) = 12.592 and χ²(0.05; 4) = 0.711 (NIST/SEMATECH e-Handbook, table 1.3.6.7.4).
    expect(said([failure(100), failure(500)])).toEqual([
      '2 failures in 2.5 years (since Feb 2024): one every 16 months on average (9 chances in 10: 5 months to 7.5 years). Too few to say whether they come faster.',
    ]);
  });

  it('says how sure it is that they come faster, more rarely, or that nothing shows it', () => {
    const trend = (days: readonly number[]): string => said(days.map((each) => failure(each))).join(' ');
    expect(trend([1, 4, 9, 16, 25, 40, 60, 90, 400])).toMatch(/They clearly come faster and faster\./);
    expect(trend([999, 990, 980, 960, 940, 900, 850, 780, 300])).toMatch(/They clearly come more and more rarely\./);
    expect(trend([100, 210, 305, 395, 510, 600, 705, 795, 900])).toMatch(
      /Nothing shows that they come faster or slower\./,
    );
  });

  it('says what fell silent, with what was done then', () => {
    const jobs = [600, 620, 645, 660, 690, 700].map((days) => leak(days));
    expect(said(jobs).join(' ')).toMatch(
      /Shaft seal failed 6 times and not for 20 months since\. Replaced 20 months ago\./,
    );
  });

  it('counts how long it stood still, once what two stoppages cover', () => {
    const stood = (from: number, to: number) => ({
      from: addMinutes(daysAgo(10), from),
      to: addMinutes(daysAgo(10), to),
      extent: 'full' as const,
      isPlanned: false,
    });
    const jobs = [failure(10, { stoppages: [stood(0, 240), stood(120, 360)] })];
    expect(said(jobs).at(-1)).toBe('It stood still for 6 h in the last 12 months, unplanned.');
  });

  it('names the machine where several are looked at', () => {
    const found = findings(
      [600, 620, 645, 660, 690, 700, 10, 70, 130]
        .map((days) => leak(days))
        .map((job, index) => ({
          ...job,
          assetId: asId<AssetId>(index < 6 ? 'winch' : 'brake'),
        })),
    );
    const named = sentencesOf(found, { ...names, asset: (id) => ({ name: `the ${id}` }) }).map(({ text }) => text);
    expect(named[0]).toMatch(/^Third shaft seal on the brake in 4 months/);
    expect(named[2]).toMatch(/^Shaft seal on the winch failed 6 times/);
    const nothing = sentencesOf(findings([]), { ...names, asset: () => undefined });
    expect(nothing[0]?.text).toMatch(/^Nothing here has failed in/);
  });

  it('leaves to figures what it does not say: the time to repair, and standing still', () => {
    const stoppage = { from: daysAgo(10), to: addMinutes(daysAgo(10), 180), extent: 'full' as const, isPlanned: false };
    const jobs = [
      failure(10, { activeMinutes: 60, stoppages: [stoppage] }),
      failure(200, { activeMinutes: 240 }),
      failure(400, { activeMinutes: 90 }),
    ];
    const found = findings(jobs);
    const plain = (said: Parameters<typeof figuresOf>[1]): string[] =>
      figuresOf(found, said).map(({ name, text }) => `${name}: ${text}`.replace(/\u00A0/g, ' '));
    expect(plain(sentencesOf(found, names))).toEqual(['Time to repair: half within 1 h 30, four in five within 3 h']);
    expect(plain([])[1]).toBe('Stood still in 12 months: 3 h, unplanned');
    expect(figuresOf(findings([]), [])).toEqual([]);
  });

  it('says so when nothing failed, or nothing was watched yet', () => {
    expect(said([], 400)).toEqual(['It has not failed in 13 months (since Oct 2025).']);
    expect(said([], 0)).toEqual(['Too new to say anything about.']);
  });
});

describe('how long a job usually takes', () => {
  const usual = {
    jobs: [failure(1), failure(2), failure(3)],
    parts: [],
    withoutParts: { saidNone: 0, notSaid: 0 },
    minutes: { median: 89, p80: 133 },
  };
  it('is said with what it was made from', () => {
    const plain = usualTimeSaid({ ...usual, from: 'like it on its class' })?.replace(/\s/g, ' ');
    expect(plain).toBe('Usually 1 h 30, four in five within 2 h 15 (3 like it on machines of this class).');
  });

  it('is not said when nobody recorded time', () => {
    expect(usualTimeSaid({ ...usual, from: 'same job', minutes: null })).toBeNull();
  });
});

describe('spans and ordinals', () => {
  it.each([
    [0, 'under an hour'],
    [0.3, '7 h'],
    [1.2, '29 h'],
    [1.99, '2 days'],
    [59, '59 days'],
    [61, '2 months'],
    [725, '2 years'],
    [800, '2 years'],
    [930, '2.5 years'],
  ])('%d days are %s', (days, words) => {
    expect(saySpan(days)).toBe(words);
  });

  it('say their unit once where they share it', () => {
    expect(saySpans(90, 270)).toBe('3 to 9 months');
    expect(saySpans(20, 120)).toBe('20 days to 4 months');
    expect(saySpans(0, 0.2)).toBe('under an hour to 5 h');
    expect(saySpans(3.1, 3.2)).toBe('3 days');
  });

  it('make a gap, also one of nothing', () => {
    expect(sayEvery(61)).toBe('about every 2 months');
    expect(sayEvery(0)).toBe('one right after another');
  });

  it('are said as people count', () => {
    expect([1, 3, 10, 11, 12, 13, 21, 22, 23, 24, 111].map(ordinal)).toEqual([
      'First',
      'Third',
      'Tenth',
      '11th',
      '12th',
      '13th',
      '21st',
      '22nd',
      '23rd',
      '24th',
      '111th',
    ]);
    expect([45, 89, 90, 47 * 60, 72 * 60].map(sayStanding)).toEqual(['45 min', '89 min', '2 h', '47 h', '3 days']);
  });
});

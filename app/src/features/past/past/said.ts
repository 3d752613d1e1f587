import { nameOfActivity, nameOfMode } from '@oilcan/core/recording/faults';
import { formatDuration, type Instant } from '@oilcan/core/kernel';
import {
  daysBetween,
  type Findings,
  type Fix,
  type PastJob,
  type Recurrence,
  type Recurring,
  type Remedy,
  type Silence,
  type Trend,
  type Usual,
} from '@oilcan/core/past/past';
import type { Asset } from '@oilcan/core/plant/plant';
import type { Part } from '@oilcan/core/stores/stock';
import { ordinal, sayEvery, sayMonth, saySpan, saySpans, sayStanding } from '../../../words/spans';
import { counted } from '../../../words/work-words';

/** A sentence about a past, and the rows that it was made from. */
export interface Said {
  /** Names it in the address of its rows. */
  readonly key: string;
  readonly text: string;
  /** In a word or two, over its rows. */
  readonly brief: string;
  readonly jobs: readonly PastJob[];
}

/** What rows are called. */
export interface NamesInPast {
  readonly part: (id: string) => Pick<Part, 'name'> | undefined;
  /** Null in the past of one machine, which need not be named. */
  readonly asset: ((id: string) => Pick<Asset, 'name'> | undefined) | null;
}

const MOST_SENTENCES = 3;

/** One to three sentences: what comes back, how often it fails and whether that changes, what fell silent or cost most. */
export function sentencesOf(findings: Findings, names: NamesInPast): Said[] {
  const { failures, recurrences, silences, downtime } = findings;
  if (failures === null) return [{ key: 'none', text: 'Too new to say anything about.', brief: 'All', jobs: [] }];
  if (failures.jobs.length === 0) {
    const watched = saySpan(daysBetween(findings.window.from, findings.window.to));
    const nothing = names.asset === null ? 'It has not failed' : 'Nothing here has failed';
    const since = sayMonth(findings.window.from);
    return [{ key: 'none', text: `${nothing} in ${watched} (since ${since}).`, brief: 'All', jobs: [] }];
  }
  const said = [
    ...recurrences.slice(0, 1).map((found) => recurrenceSaid(found, findings, names)),
    failuresSaid(failures, findings),
    ...silences.slice(0, 1).map((found) => silenceSaid(found, findings, names)),
  ];
  if (downtime.minutes > 0) {
    said.push({
      key: 'downtime',
      text: `${names.asset === null ? 'It' : 'Something here'} stood still for ${sayStanding(downtime.minutes)} in the last 12 months, unplanned.`,
      brief: STOOD_STILL,
      jobs: downtime.jobs,
    });
  }
  return said.slice(0, MOST_SENTENCES);
}

const STOOD_STILL = 'What stopped it';

/** A figure of a past with its name, and the rows that it was made from. */
export interface SaidFigure extends Said {
  readonly name: string;
}

/** What the sentences leave out: how long a repair takes, and for how long it stood still. */
export function figuresOf({ repair, downtime }: Findings, said: readonly Said[]): SaidFigure[] {
  const figures: SaidFigure[] = [];
  if (repair !== null) {
    const [median, p80] = [about(repair.median), about(repair.p80)];
    const text = repair.jobs.length === 1 ? median : `half within ${median}, four in five within ${p80}`;
    figures.push({ key: 'repair', name: 'Time to repair', text, brief: 'Repairs', jobs: repair.jobs });
  }
  if (downtime.minutes > 0 && !said.some(({ key }) => key === 'downtime')) {
    const text = `${sayStanding(downtime.minutes)}, unplanned`;
    figures.push({ key: 'downtime', name: 'Stood still in 12 months', text, brief: STOOD_STILL, jobs: downtime.jobs });
  }
  return figures;
}

function nameOf(what: Recurring, names: NamesInPast): string {
  if (what.by === 'part') return names.part(what.partId)?.name ?? 'The same part';
  return what.component === '' ? nameOfMode(what.mode) : what.component;
}

/** ` on Lark drive gearbox`, where several machines are looked at. */
function onWhich({ job }: Remedy, { asset }: NamesInPast): string {
  const name = asset?.(job.assetId)?.name;
  return name === undefined ? '' : ` on ${name}`;
}

function recurrenceSaid(found: Recurrence, { window }: Findings, names: NamesInPast): Said {
  const { what, jobs, spanDays, usualGapDays, heldDays, last } = found;
  const name = nameOf(what, names);
  const lasted = saySpans(Math.min(...heldDays), Math.max(...heldDays));
  return {
    key: 'comes-back',
    brief: name,
    text: [
      `${ordinal(jobs.length)} ${lowerFirst(name)}${onWhich(last, names)} in ${saySpan(spanDays)}, ${sayEvery(usualGapDays)}.`,
      remedySaid(last, window),
      `Repairs before that held ${lasted}.`,
    ].join(' '),
    jobs,
  };
}

function remedySaid({ job, activity, text }: Remedy, { to }: Findings['window']): string {
  const done = activity === null ? 'Worked on' : upperFirst(nameOfActivity(activity));
  const when = job.endedAt === null ? 'now' : `${saySpan(daysBetween(job.endedAt, to))} ago`;
  return job.endedAt === null
    ? `It is being worked on now.`
    : `${done} ${when}${text === '' ? '.' : `: ${quoted(text)}`}`;
}

/**
 * “Replaced 14 days ago, held 9 days: “New seal.” Before that: replaced 47 days ago, held 33 days.” Facts of single repairs, from which
 * nothing is concluded. Null where nothing was repaired.
 */
export function lastFixSaid(fixes: readonly Fix[], now: Instant, names: Pick<NamesInPast, 'part'>): Said | null {
  const [last, ...before] = fixes;
  if (last === undefined) return null;
  const say = (fix: Fix): string => {
    const done = fix.activity === null ? 'worked on' : lowerFirst(nameOfActivity(fix.activity));
    const held = fix.heldDays === null ? 'has held since' : `held ${saySpan(fix.heldDays)}`;
    return `${done} ${saySpan(daysBetween(fix.endedAt, now))} ago, ${held}`;
  };
  const parts = last.job.parts.map(({ partId }) => names.part(partId)?.name).filter((name) => name !== undefined);
  const using = parts.length === 0 ? '' : `, with ${parts.slice(0, MOST_PARTS).join(' and ')}`;
  const first = `Last time: ${say(last)}${using}${last.text === '' ? '.' : `: ${quoted(last.text)}`}`;
  return {
    key: LAST_FIX,
    brief: 'What fixed it',
    text: before.length === 0 ? first : `${first} Before that: ${before.map(say).join('; ')}.`,
    jobs: fixes.map(({ job }) => job),
  };
}

/** The key of what fixed it last time. */
const LAST_FIX = 'last-fix';
/** So many of the parts that were used are named. */
const MOST_PARTS = 2;

const trendWords: Readonly<Record<'likely' | 'clearly', string>> = {
  likely: 'probably',
  clearly: 'clearly',
};

function trendSaid(trend: Trend): string {
  switch (trend.is) {
    case 'too few':
      return 'Too few to say whether they come faster.';
    case 'steady':
      return 'Nothing shows that they come faster or slower.';
    case 'faster':
      return `They ${trendWords[trend.sure]} come faster and faster.`;
    case 'slower':
      return `They ${trendWords[trend.sure]} come more and more rarely.`;
  }
}

function failuresSaid({ jobs, meanDays, trend }: NonNullable<Findings['failures']>, { window }: Findings): Said {
  const count = counted(jobs.length, 'failure', 'failures');
  const watched = saySpan(daysBetween(window.from, window.to));
  const range = saySpans(meanDays.low, meanDays.high);
  const rate = `one every ${saySpan(meanDays.mean)} on average (9 chances in 10: ${range})`;
  return {
    key: 'failures',
    brief: 'Failures',
    text: `${count} in ${watched} (since ${sayMonth(window.from)}): ${rate}. ${trendSaid(trend)}`,
    jobs,
  };
}

function silenceSaid({ what, jobs, quietDays, last }: Silence, { window }: Findings, names: NamesInPast): Said {
  const name = nameOf(what, names);
  return {
    key: 'silent',
    brief: name,
    text: `${name}${onWhich(last, names)} failed ${jobs.length} times and not for ${saySpan(quietDays)} since. ${remedySaid(last, window)}`,
    jobs,
  };
}

const usualFrom: Readonly<Record<Usual['from'], string>> = {
  'same job': 'of this job here',
  'like it here': 'like it on this machine',
  'like it on its class': 'like it on machines of this class',
};

/** Minutes as nobody would say them more exactly: from an hour on to five minutes. */
const about = (minutes: number): string => formatDuration(minutes < 60 ? minutes : Math.round(minutes / 5) * 5);

/** How long a job like this takes; null when nothing is known. */
export function usualTimeSaid(usual: Usual): string | null {
  const from = `${usual.jobs.length} ${usualFrom[usual.from]}`;
  if (usual.minutes === null) return null;
  const { median, p80 } = usual.minutes;
  return `Usually ${about(median)}, four in five within ${about(p80)} (${from}).`;
}

/** Of the jobs without parts, how many say that they took none, and how many say nothing; empty where all of them tell. */
export function withoutPartsSaid({ withoutParts: { saidNone, notSaid } }: Usual): string {
  if (notSaid === 0) return '';
  const none = saidNone === 0 ? '' : `${counted(saidNone, 'job', 'jobs')} took none, `;
  return ` Of the others ${none}${counted(notSaid, 'job says', 'jobs say')} nothing of parts.`;
}

/** In quotation marks, and ended as a sentence. */
const quoted = (text: string): string => (/[.!?…]$/.test(text) ? `“${text}”` : `“${text}”.`);

const lowerFirst = (text: string): string =>
  /^[A-Z][a-z]/.test(text) ? text.slice(0, 1).toLowerCase() + text.slice(1) : text;
const upperFirst = (text: string): string => text.slice(0, 1).toUpperCase() + text.slice(1);

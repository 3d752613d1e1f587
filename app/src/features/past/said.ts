import {
  daysBetween,
  nameOfActivity,
  nameOfMode,
  type Findings,
  type Part,
  type PastJob,
  type Recurrence,
  type Recurring,
  type Remedy,
  type Silence,
  type Trend,
  type Usual,
} from '@oilcan/core';
import { formatDuration } from '@oilcan/core';
import { ordinal, sayDays, sayStanding } from '../../words/spans';
import { counted } from '../../words/work-words';

/** A sentence about a past, and the rows that it was made from. */
export interface Said {
  /** Names it in the address of its rows. */
  readonly key: string;
  readonly text: string;
  /** In a word or two, over its rows. */
  readonly brief: string;
  readonly jobs: readonly PastJob[];
}

type PartOf = (id: string) => Pick<Part, 'name'> | undefined;

const MOST_SENTENCES = 3;

/** One to three sentences: what comes back, how often it fails and whether that changes, what fell silent or cost most. */
export function sentencesOf(findings: Findings, partOf: PartOf): Said[] {
  const { failures, recurrences, silences, downtime } = findings;
  if (failures === null) return [{ key: 'none', text: 'Too new to say anything about.', brief: 'All', jobs: [] }];
  if (failures.jobs.length === 0) {
    const watched = sayDays(daysBetween(findings.window.from, findings.window.to));
    return [{ key: 'none', text: `It has not failed in ${watched}.`, brief: 'All', jobs: [] }];
  }
  const said = [
    ...recurrences.slice(0, 1).map((found) => recurrenceSaid(found, findings, partOf)),
    failuresSaid(failures, findings),
    ...silences.slice(0, 1).map((found) => silenceSaid(found, findings, partOf)),
  ];
  if (downtime.minutes > 0) {
    said.push({
      key: 'downtime',
      text: `It stood still for ${sayStanding(downtime.minutes)} in the last 12 months, unplanned.`,
      brief: 'What stopped it',
      jobs: downtime.jobs,
    });
  }
  return said.slice(0, MOST_SENTENCES);
}

function nameOf(what: Recurring, partOf: PartOf): string {
  if (what.by === 'part') return partOf(what.partId)?.name ?? 'The same part';
  return what.component === '' ? nameOfMode(what.mode) : what.component;
}

function recurrenceSaid(found: Recurrence, { window }: Findings, partOf: PartOf): Said {
  const { what, jobs, spanDays, usualGapDays, heldDays, last } = found;
  const name = nameOf(what, partOf);
  const held = heldDays.map(Math.round);
  const [least, most] = [Math.min(...held), Math.max(...held)];
  const lasted = least === most ? sayDays(least) : `${sayDays(least)} to ${sayDays(most)}`;
  return {
    key: 'comes-back',
    brief: name,
    text: [
      `${ordinal(jobs.length)} ${lowerFirst(name)} in ${sayDays(spanDays)}, about every ${sayDays(usualGapDays)}.`,
      remedySaid(last, window),
      `Repairs before that held ${lasted}.`,
    ].join(' '),
    jobs,
  };
}

function remedySaid({ job, activity, text }: Remedy, { to }: Findings['window']): string {
  const done = activity === null ? 'Worked on' : upperFirst(nameOfActivity(activity));
  const when = job.endedAt === null ? 'now' : `${sayDays(daysBetween(job.endedAt, to))} ago`;
  return job.endedAt === null ? `It is being worked on now.` : `${done} ${when}${text === '' ? '.' : `: “${text}”`}`;
}

const trendWords: Readonly<Record<'perhaps' | 'likely' | 'clearly', string>> = {
  perhaps: 'perhaps',
  likely: 'probably',
  clearly: 'clearly',
};

function trendSaid(trend: Trend): string {
  switch (trend.is) {
    case 'too few':
      return 'Too few to say whether they come faster.';
    case 'steady':
      return 'They come neither faster nor slower than by chance.';
    case 'faster':
      return `They ${trendWords[trend.sure]} come faster and faster.`;
    case 'slower':
      return `They ${trendWords[trend.sure]} come more and more rarely.`;
  }
}

function failuresSaid({ jobs, meanDays, trend }: NonNullable<Findings['failures']>, { window }: Findings): Said {
  const count = counted(jobs.length, 'failure', 'failures');
  const watched = sayDays(daysBetween(window.from, window.to));
  const range = `${Math.round(meanDays.low)} to ${Math.round(meanDays.high)}`;
  const rate = `one in ${Math.round(meanDays.mean)} days on average (nine in ten sure: ${range})`;
  return {
    key: 'failures',
    brief: 'Failures',
    text: `${count} in ${watched}: ${rate}. ${trendSaid(trend)}`,
    jobs,
  };
}

function silenceSaid({ what, jobs, quietDays, last }: Silence, { window }: Findings, partOf: PartOf): Said {
  const name = nameOf(what, partOf);
  return {
    key: 'silent',
    brief: name,
    text: `${name} failed ${jobs.length} times and not for ${sayDays(quietDays)} since. ${remedySaid(last, window)}`,
    jobs,
  };
}

const usualFrom: Readonly<Record<Usual['from'], string>> = {
  'same job': 'of this job here',
  'same asset': 'like it on this machine',
  'same class': 'like it on machines of this class',
};

/** How long a job like this takes; null when nothing is known. */
export function usualTimeSaid(usual: Usual): string | null {
  const from = `${usual.jobs.length} ${usualFrom[usual.from]}`;
  if (usual.minutes === null) return null;
  const { median, p80 } = usual.minutes;
  return `Usually ${formatDuration(median)}, four in five within ${formatDuration(p80)} (${from}).`;
}

const lowerFirst = (text: string): string =>
  /^[A-Z][a-z]/.test(text) ? text.slice(0, 1).toLowerCase() + text.slice(1) : text;
const upperFirst = (text: string): string => text.slice(0, 1).toUpperCase() + text.slice(1);

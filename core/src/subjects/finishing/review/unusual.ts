import type { PartId, PersonId, PointId } from '../../../kernel/ids';
import { addMinutes, minutesBetween, toMillis } from '../../../kernel/time/instant';
import type { PastJob } from '../../past/past/past-job';
import { quantile } from '../../past/past/reliability';
import type { Usual } from '../../past/past/usual';
import type { ReadingLevel } from '../../steps/readings/limits';
import { levelOfAnswer } from '../../steps/steps/level-of-answer';
import { pointOf, type Step } from '../../steps/steps/step';
import { currentOf, type Entry } from '../../orders/work/entries';
import { saidNone } from '../../recording/none/none';
import type { WorkOrder } from '../../orders/work/work-order';
import type { ReviewLimits } from '../../orders/settings/review-limits';

/** Why a finished work order is worth a closer look. */
export type Unusual =
  | { readonly is: 'overEstimate' | 'underEstimate'; readonly minutes: number; readonly estimateMinutes: number }
  /** Taken though nobody planned them and such jobs do not take them. */
  | { readonly is: 'unplannedParts'; readonly partIds: readonly PartId[] }
  /** Corrective work without a fault, or with one whose cause or work is not said. */
  | { readonly is: 'notCoded'; readonly isMissing: boolean }
  /** Beyond its alarm, or its alert, at the end, with no further work. */
  | { readonly is: 'alarm' | 'alert'; readonly pointId: PointId; readonly value: number }
  /** The same of a number that a step asked for at no measuring point. */
  | {
      readonly is: 'answerBeyond';
      readonly level: Exclude<ReadingLevel, 'normal'>;
      readonly step: string;
      readonly value: number;
      readonly unit: string;
    }
  | { readonly is: 'skipped'; readonly steps: readonly string[] }
  | { readonly is: 'recordedLate'; readonly hours: number; readonly personId: PersonId }
  /** The same failure came back much sooner than it usually does. */
  | {
      readonly is: 'repeat';
      readonly mode: string;
      readonly component: string;
      readonly days: number;
      readonly usualDays: number;
    }
  /** In the smallest unit of the currency. */
  | { readonly is: 'cost'; readonly minor: number; readonly usualMinor: number }
  /** To whom it was given and whose time is missing. */
  | { readonly is: 'timeMissing'; readonly personIds: readonly PersonId[] };

/** What a finished work order is looked at by. */
export interface LookedAt {
  readonly work: WorkOrder;
  readonly entries: readonly Entry[];
  readonly steps: readonly Step[];
  /** The measuring points for which further work was raised from it, or that answer an alarm of. */
  readonly answeredPoints: ReadonlySet<PointId>;
  /** Whether any further work came from it. */
  readonly ledOn: boolean;
  /** Ended jobs of its machine before it. */
  readonly before: readonly PastJob[];
  /** What such jobs took; null where too few are known. */
  readonly usual: Usual | null;
  /** What it cost, and what such jobs did, in the smallest unit of the site's currency. */
  readonly costMinor: number;
  readonly usualCostsMinor: readonly number[];
}

/** In this order they are told. */
export function unusualOf(looked: LookedAt, limits: ReviewLimits): Unusual[] {
  return [
    ...besideEstimate(looked, limits),
    ...costAbove(looked, limits),
    ...repeats(looked, limits),
    ...beyondLimits(looked),
    ...unplannedParts(looked, limits),
    ...notCoded(looked),
    ...skipped(looked),
    ...recordedLate(looked, limits),
    ...timeMissing(looked),
  ];
}

/** Whoever took so small a share of the planned time hardly did the whole job (an assumption: no data are behind it). */
const HARDLY_DONE = 0.1;

function besideEstimate({ work, entries }: LookedAt, limits: ReviewLimits): Unusual[] {
  const minutes = currentOf(entries, 'labor').reduce((sum, { content }) => sum + content.minutes, 0);
  const { estimateMinutes } = work;
  const isOver =
    estimateMinutes > 0 &&
    minutes >= estimateMinutes * limits.estimateTimes &&
    minutes - estimateMinutes >= limits.minutesOver;
  if (isOver) return [{ is: 'overEstimate', minutes, estimateMinutes }];
  // Nobody's time is told as missing time.
  const isUnder =
    minutes > 0 && minutes <= estimateMinutes * HARDLY_DONE && estimateMinutes - minutes >= limits.minutesOver;
  return isUnder ? [{ is: 'underEstimate', minutes, estimateMinutes }] : [];
}

function unplannedParts({ work, entries, usual }: LookedAt, limits: ReviewLimits): Unusual[] {
  const expected = new Set([
    ...work.kit.map(({ partId }) => partId),
    ...(usual === null ? [] : usual.parts.map(({ partId }) => partId)),
  ]);
  // Nothing was planned and nothing is known of such jobs: then no part is unusual.
  if (work.kit.length === 0 && usual === null) return [];
  const taken = currentOf(entries, 'part').map(({ content }) => content.partId);
  const partIds = [...new Set(taken)].filter((partId) => !expected.has(partId));
  return partIds.length >= limits.unplannedParts && partIds.length > 0 ? [{ is: 'unplannedParts', partIds }] : [];
}

function notCoded({ work, entries }: LookedAt): Unusual[] {
  if (work.kind !== 'corrective') return [];
  const faults = currentOf(entries, 'fault');
  const saysNone = work.finishedBy !== null && saidNone(entries, work.finishedBy).includes('fault');
  if (faults.length === 0) return saysNone ? [] : [{ is: 'notCoded', isMissing: true }];
  const isOpen = faults.some(({ content }) => content.cause === '' || content.activity === null);
  return isOpen ? [{ is: 'notCoded', isMissing: false }] : [];
}

function beyondLimits({ entries, steps, answeredPoints, ledOn }: LookedAt): Unusual[] {
  if (ledOn) return [];
  const last = new Map(
    [...currentOf(entries, 'reading')]
      .sort((a, b) => toMillis(a.at) - toMillis(b.at))
      .map(({ content }) => [content.pointId, content]),
  );
  const readings = [...last.values()].flatMap(({ pointId, value, level }): Unusual[] =>
    level === 'normal' || answeredPoints.has(pointId) ? [] : [{ is: level, pointId, value }],
  );
  const answers = steps.flatMap(({ text, question, answer }): Unusual[] => {
    const level = levelOfAnswer(question, answer?.value ?? null);
    if (level === 'normal' || question.type !== 'number' || answer?.value.type !== 'number') return [];
    // What stands at a measuring point is told by its reading.
    if (pointOf(question) !== null) return [];
    return [{ is: 'answerBeyond', level, step: text, value: answer.value.value, unit: question.unit }];
  });
  return [...readings, ...answers];
}

function skipped({ steps }: LookedAt): Unusual[] {
  const texts = steps.filter(({ answer }) => answer?.value.type === 'skipped').map(({ text }) => text);
  return texts.length === 0 ? [] : [{ is: 'skipped', steps: texts }];
}

function recordedLate({ entries }: LookedAt, limits: ReviewLimits): Unusual[] {
  const late = currentOf(entries, 'labor')
    .map(({ at, content: { startedAt, minutes, personId } }) => ({
      personId,
      hours: Math.floor(minutesBetween(addMinutes(startedAt, minutes), at) / 60),
    }))
    .filter(({ hours }) => hours >= limits.lateHours)
    .sort((a, b) => b.hours - a.hours);
  return late.slice(0, 1).map((each) => ({ is: 'recordedLate', ...each }));
}

/** Of fewer gaps nobody can say what is usual. */
const FEWEST_GAPS = 3;
const DAY_MILLISECONDS = 86_400_000;

function repeats({ work, entries, before }: LookedAt, limits: ReviewLimits): Unusual[] {
  if (work.kind !== 'corrective') return [];
  const now = toMillis(work.createdAt);
  return currentOf(entries, 'fault').flatMap(({ assetId, content: { mode, component } }): Unusual[] => {
    const times = before
      .filter(
        (job) =>
          job.assetId === assetId && job.faults.some((fault) => fault.mode === mode && fault.component === component),
      )
      .map(({ at }) => toMillis(at))
      .filter((at) => at < now)
      .sort((a, b) => a - b);
    const gaps = times.slice(1).map((at, index) => at - (times[index] ?? at));
    const last = times.at(-1);
    if (last === undefined || gaps.length < FEWEST_GAPS) return [];
    const usualDays = medianOf(gaps) / DAY_MILLISECONDS;
    const days = (now - last) / DAY_MILLISECONDS;
    return days < usualDays * limits.repeatShare ? [{ is: 'repeat', mode, component, days, usualDays }] : [];
  });
}

/** Of fewer jobs nobody can say what they usually cost. */
const FEWEST_COSTS = 5;
/** The median of absolute deviations times this is the standard deviation of a normal distribution: 1 / Φ⁻¹(3/4) (memory). */
const TO_DEVIATION = 1.4826;
/** Where such jobs all cost about the same, a little more is nothing unusual. */
const LEAST_TIMES = 1.5;
/** In the smallest currency unit: of less nobody has to look, however little such jobs cost (common practice). */
const LEAST_OVER_MINOR = 2_000;

function costAbove({ costMinor, usualCostsMinor }: LookedAt, limits: ReviewLimits): Unusual[] {
  if (usualCostsMinor.length < FEWEST_COSTS) return [];
  const usualMinor = medianOf(usualCostsMinor);
  const deviation = TO_DEVIATION * medianOf(usualCostsMinor.map((each) => Math.abs(each - usualMinor)));
  const isFar =
    costMinor > usualMinor + limits.costDeviations * deviation &&
    costMinor >= usualMinor * LEAST_TIMES &&
    costMinor - usualMinor >= LEAST_OVER_MINOR;
  return isFar ? [{ is: 'cost', minor: costMinor, usualMinor: Math.round(usualMinor) }] : [];
}

function timeMissing({ work: { timeOwedBy = [] } }: LookedAt): Unusual[] {
  return timeOwedBy.length === 0 ? [] : [{ is: 'timeMissing', personIds: timeOwedBy }];
}

function medianOf(numbers: readonly number[]): number {
  return quantile(numbers, 0.5) ?? 0;
}

import { inWholeWords, TextsToCompare } from '../../../kernel/text/likeness';
import { addMinutes, minutesBetween, type Instant } from '../../../kernel/time/instant';
import { median } from '../../steps/readings/middle';
import { urgencies } from '../../orders/work/work-order';
import { reportedBy, waitsForAnswer, type Report } from './report';

/** Reports on one machine or place are likely of one problem from here on: more than a third of the words of one stand in the other. */
const LIKELY_DOUBLE = 0.36;

/** Reports that are likely of one problem, the worst first. */
export type Problem = readonly [Report, ...Report[]];

/**
 * What waits for an answer or for its reporter, gathered by likely doubles: worst first, by urgency, how many reported it, and how
 * long it has waited.
 */
export function problemsToAnswer(reports: readonly Report[]): Problem[] {
  const open = reports.filter(({ state }) => state === 'waiting' || state === 'asked').sort(byWorst);
  const compared = new TextsToCompare(open.map(({ words }) => words));
  const found = new Map<number, readonly number[]>();
  const likenessOf = (one: number): readonly number[] => {
    const scores = found.get(one) ?? compared.likenessTo(inWholeWords(open[one]?.words ?? ''));
    found.set(one, scores);
    return scores;
  };
  const isDouble = (one: number, other: number): boolean =>
    Math.max(likenessOf(one)[other] ?? 0, likenessOf(other)[one] ?? 0) >= LIKELY_DOUBLE;
  const problems: Problem[] = [];
  const isGathered = new Set<number>();
  open.forEach((report, index) => {
    if (isGathered.has(index)) return;
    const doubles = open.filter((other, at) => {
      const belongs = at > index && !isGathered.has(at) && isThere(report, other) && isDouble(index, at);
      if (belongs) isGathered.add(at);
      return belongs;
    });
    problems.push([report, ...doubles]);
  });
  return problems.sort((a, b) => byWorst(worstOf(a), worstOf(b)));
}

/** The problem as one report: as urgent as its worst, reported by all. */
const worstOf = (problem: Problem): Report => ({
  ...problem[0],
  others: problem.flatMap(({ others, at }) => [...others, { personId: null, at }]),
});

const isThere = (one: Report, other: Report): boolean =>
  one.assetId !== null && other.assetId !== null ? one.assetId === other.assetId : one.placeId === other.placeId;

function byWorst(a: Report, b: Report): number {
  return (
    urgencies.indexOf(a.urgency) - urgencies.indexOf(b.urgency) ||
    Number(b.danger === true) - Number(a.danger === true) ||
    reportedBy(b) - reportedBy(a) ||
    (a.at < b.at ? -1 : a.at > b.at ? 1 : 0)
  );
}

/** How fast reports are answered. */
export interface AnswerTimes {
  /** Half of those that were answered were so within so many minutes; null where none was. */
  readonly medianMinutes: number | null;
  /** How many were answered. */
  readonly answered: number;
  /** How many have no answer yet. */
  readonly waiting: number;
}

/** How long first answers took of what was reported in the last days. What still waits is told beside, since it has no time yet. */
export function answerTimes(reports: readonly Report[], now: Instant, days: number): AnswerTimes {
  const since = addMinutes(now, -days * 24 * 60);
  const lately = reports.filter(({ at }) => at > since);
  const minutes = lately.flatMap(({ at, answeredAt }) => (answeredAt === null ? [] : [minutesBetween(at, answeredAt)]));
  const waiting = reports.filter((report) => waitsForAnswer(report) && report.answeredAt === null).length;
  return { medianMinutes: minutes.length === 0 ? null : median(minutes), answered: minutes.length, waiting };
}

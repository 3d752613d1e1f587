import { addMinutes, instantFromMillis } from '@oilcan/core/kernel';
import {
  findingsOf,
  lastFixes,
  modesOf,
  usualFor,
  watchedSince,
  type PastAnswer,
  type PastJob,
} from '@oilcan/core/past/past';
import { changeOf, inDays, type Change } from '@oilcan/core/steps/readings';
import { pastJobsOf } from '@oilcan/core/registry';
import type { PastQuestion, ReadPast } from './read-past';

/** Reads the past of an asset as it came from the server, with the open work of this phone, and says what is in it. */
export function readAnswer({ text, open, inServiceSince, like, points, now }: PastQuestion): ReadPast {
  const answer = JSON.parse(text) as PastAnswer;
  const openHere = new Set(open.map(({ work }) => work.id));
  const jobs = [
    ...open.flatMap(({ work, entries, machines, wanted }) =>
      pastJobsOf(work, entries, machines).filter(({ assetId }) => wanted.includes(assetId)),
    ),
    ...answer.jobs.filter(({ id }) => !openHere.has(id)),
  ];
  // A window must have a length, or the present of an asset that went into service today would be before its beginning.
  const from = watchedSince(answer, inServiceSince);
  const window = { from: from < now ? from : addMinutes(now, -1), to: now };
  return {
    jobs,
    findings: findingsOf(jobs, window),
    modes: modesOf(jobs),
    changes: changesOf(jobs, points),
    usual: like === null ? null : usualFor(like, answer.jobs, answer.ofClass),
    fixes: lastFixes(jobs, like),
    asOf: answer.asOf ?? instantFromMillis(0),
    cutAt: answer.cutAt,
  };
}

/** Whether each point is changing, by all of its readings; a meter always does. */
function changesOf(jobs: readonly PastJob[], points: PastQuestion['points']): Readonly<Record<string, Change>> {
  const byPoint = new Map(
    points.flatMap(({ id, isMeter }) => (isMeter ? [] : [[id, [] as PastJob['readings'][number][]]])),
  );
  for (const { readings } of jobs) for (const reading of readings) byPoint.get(reading.pointId)?.push(reading);
  const changes = points.flatMap(({ id, limits }): [string, Change][] => {
    const readings = byPoint.get(id);
    return readings === undefined ? [] : [[id, changeOf(inDays(readings), limits)]];
  });
  return Object.fromEntries(changes);
}

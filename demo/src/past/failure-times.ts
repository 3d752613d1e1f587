import type { Random } from '../random';
import type { Course } from './processes';

/** The days, from 0 up to `days`, on which a process fails. */
export function failureDays(course: Course, days: number, random: Random): number[] {
  switch (course.type) {
    case 'renewal':
      return sumGaps(days, () => course.scaleDays * random.exponential() ** (1 / course.shape));
    case 'cured':
      return sumGaps(Math.min(days, course.curedOnDay), () => course.meanGapDays * random.exponential());
    case 'power-law':
      // In the time (t / scale)^shape the process is an ordinary one with one failure a unit.
      return sumGaps((days / course.scaleDays) ** course.shape, () => random.exponential()).map(
        (unit) => course.scaleDays * unit ** (1 / course.shape),
      );
  }
}

function sumGaps(until: number, nextGap: () => number): number[] {
  const times: number[] = [];
  for (let time = nextGap(); time < until; time += nextGap()) times.push(time);
  return times;
}

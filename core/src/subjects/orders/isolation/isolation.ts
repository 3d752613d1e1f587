import type { PersonId } from '../../../kernel/ids';
import type { Instant } from '../../../kernel/time/instant';
import { currentOf, type Entry } from '../work/entries';
import type { IsolationPoint } from '../work/work-order';
import type { IsolationAct, IsolationContent } from './isolation-entries';

/** That somebody did it, and when. */
export interface Done {
  readonly by: PersonId;
  readonly at: Instant;
}

export interface PointStanding {
  readonly point: IsolationPoint;
  /** Who has a lock on it. */
  readonly locks: readonly Done[];
  readonly released: Done | null;
  readonly tested: Done | null;
}

export interface IsolationStanding {
  readonly shutDown: Done | null;
  readonly points: readonly PointStanding[];
  /** Every point is locked, without stored energy, and tested. */
  readonly isSafe: boolean;
}

/** How the machine stands after what was recorded. Once the last lock of a point is off it is released and tested anew, and
 * once the last lock of all is off the machine is shut down anew. */
export function isolationOf(points: readonly IsolationPoint[], entries: readonly Entry[]): IsolationStanding {
  const acts = [...currentOf(entries, 'isolation')].sort((a, b) =>
    a.at < b.at ? -1 : a.at > b.at ? 1 : a.id < b.id ? -1 : 1,
  );
  let shutDown: Done | null = null;
  const standing = new Map(points.map((point) => [point.id, emptyStanding(point)]));
  for (const { at, by, content } of acts) {
    if (content.act === 'shutDown') shutDown = { by, at };
    const before = content.pointId === null ? undefined : standing.get(content.pointId);
    if (before !== undefined) standing.set(before.point.id, afterAct(before, content, { by, at }));
    // With the last lock the machine is given back, and may start.
    const isGivenBack = content.act === 'unlock' && [...standing.values()].every(({ locks }) => locks.length === 0);
    if (isGivenBack) shutDown = null;
  }
  const all = [...standing.values()];
  const isSafe = all.every(({ locks, tested }) => locks.length > 0 && tested !== null);
  return { shutDown, points: all, isSafe };
}

const emptyStanding = (point: IsolationPoint): PointStanding => ({ point, locks: [], released: null, tested: null });

function afterAct(before: PointStanding, { act, ofPersonId }: IsolationContent, done: Done): PointStanding {
  switch (act) {
    case 'shutDown':
      return before;
    case 'lock':
      return { ...before, locks: [...before.locks.filter(({ by }) => by !== done.by), done] };
    case 'release':
      return { ...before, released: done };
    case 'test':
      return { ...before, tested: done };
    case 'unlock': {
      const locks = before.locks.filter(({ by }) => by !== (ofPersonId ?? done.by));
      return locks.length === 0 ? emptyStanding(before.point) : { ...before, locks };
    }
  }
}

/** What must be done before an act at a point; null when it may be done now. */
export function missingBefore(
  act: IsolationAct,
  pointId: string | null,
  standing: IsolationStanding,
  ofPersonId: PersonId,
): IsolationAct | null {
  const here = standing.points.find(({ point }) => point.id === pointId);
  switch (act) {
    case 'shutDown':
      return null;
    case 'lock':
      return standing.shutDown === null ? 'shutDown' : null;
    case 'release':
      return here === undefined || here.locks.length === 0 ? 'lock' : null;
    case 'test':
      if (standing.points.some(({ locks }) => locks.length === 0)) return 'lock';
      return standing.points.some(({ point, released }) => point.release !== null && released === null)
        ? 'release'
        : null;
    case 'unlock':
      return here?.locks.some(({ by }) => by === ofPersonId) === true ? null : 'lock';
  }
}

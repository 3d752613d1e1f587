import type { EntryId, PersonId, PointId, ShareId, StepId } from '../../../kernel/ids';
import { runningClocks, type Clock } from '../../recording/labor/clock';
import { currentOf, type Entry } from '../../orders/work/entries';
import { isolationOf } from '../../orders/isolation/isolation';
import { saidNone } from '../../recording/none/none';
import type { MeasuringPoint } from '../../plant/plant/plant';
import { isShareDone, progressOfShares, sharesOfSteps, type Share } from '../../recording/shares/share';
import { placed } from '../../steps/steps/branches';
import type { Progress, Step } from '../../steps/steps/step';
import { peopleOn } from '../../orders/work/assignment';
import { owedThings, type Demand, type Demands, type OwedThing } from '../../orders/work/demands';
import type { WorkOrder } from '../../orders/work/work-order';

/** What one line of what is owed is about. */
type Owing =
  | { readonly what: 'step'; readonly stepId: StepId; readonly text: string }
  /** Of somebody else's share: theirs to do, or to be passed on. */
  | { readonly what: 'share'; readonly shareId: ShareId; readonly personId: PersonId; readonly progress: Progress }
  | { readonly what: 'reading'; readonly pointId: PointId; readonly name: string; readonly isMeter: boolean }
  /** A fault, or that none was found. */
  | { readonly what: 'fault' }
  /** Cause and work of a fault, which were not known when it was recorded. */
  | { readonly what: 'codes'; readonly entryId: EntryId; readonly component: string }
  /** What was taken, or that nothing was. */
  | { readonly what: 'part' }
  /** How long the machine stood still, or that it did not. */
  | { readonly what: 'stoppage' }
  /** The end of a stoppage that goes on by the record. */
  | { readonly what: 'stoppageEnd'; readonly entryId: EntryId }
  /** The person's own time, or that there was none. */
  | { readonly what: 'time' }
  /** That of somebody else to whom the work was given: finishing does not wait for it, they are told. */
  | { readonly what: 'timeOfAnother'; readonly personId: PersonId }
  | { readonly what: 'photo' }
  | { readonly what: 'signature' }
  | { readonly what: 'clockOfAnother'; readonly personId: PersonId }
  | { readonly what: 'lock'; readonly pointId: string; readonly device: string; readonly personId: PersonId };

/** One thing that is still owed; whether finishing waits for it, or whether it is only asked for. */
export type Owed = Owing & { readonly demand: Exclude<Demand, 'not'> };

/** What a work order holds of which something can be owed. */
export interface Recorded {
  readonly work: Pick<WorkOrder, 'personIds' | 'sharedWith' | 'isolation'>;
  /** Those that are due: of a round, not those of stops that were passed over. */
  readonly steps: readonly Step[];
  readonly entries: readonly Entry[];
  readonly clocks: readonly Clock[];
  readonly shares: readonly Share[];
  /** Of the machine itself; none for a round, whose stops have steps for them. */
  readonly points: readonly MeasuringPoint[];
}

/**
 * What is still owed before the person may finish, in the order in which it would be done.
 * The person's own running clock owes nothing: finishing stops it and records its time.
 */
export function owedBefore(finisher: PersonId, recorded: Recorded, demands: Demands): Owed[] {
  return owedThings.flatMap((thing) => {
    const demand = demands[thing];
    if (demand === 'not') return [];
    return owing[thing](recorded, finisher).map((each): Owed => ({
      ...each,
      demand: each.what === 'timeOfAnother' ? 'asked' : demand,
    }));
  });
}

/** Those for which finishing waits. */
export function mustBeGiven(owed: readonly Owed[]): Owed[] {
  return owed.filter(({ demand }) => demand === 'must');
}

/**
 * How much of what finishing waits for is given beside the steps, from 0 to 1: for the part of the dipstick that shows wrapping
 * up. What nobody wants counts as given.
 */
export function shareGiven(owed: readonly Owed[], demands: Demands): number {
  const wanted = owedThings.filter((thing) => thing !== 'steps' && demands[thing] === 'must');
  const missing = new Set(mustBeGiven(owed).map(({ what }) => thingOf[what]));
  return wanted.length === 0 ? 1 : wanted.filter((thing) => !missing.has(thing)).length / wanted.length;
}

/** Those to whom the work was given by name or by a share, and of whom it does not have time, nor that there was none. */
export function withoutTime({ work, entries, clocks }: Omit<Recorded, 'points' | 'steps' | 'shares'>): PersonId[] {
  return peopleOn(work).filter((id) => !hasTime(entries, clocks, id));
}

const thingOf: Readonly<Record<Owing['what'], OwedThing>> = {
  step: 'steps',
  share: 'steps',
  reading: 'readings',
  fault: 'fault',
  codes: 'codes',
  part: 'part',
  stoppage: 'stoppage',
  stoppageEnd: 'stoppageEnd',
  time: 'time',
  timeOfAnother: 'time',
  photo: 'photo',
  signature: 'signature',
  clockOfAnother: 'clocks',
  lock: 'locks',
};

/** Of what thing something is owed. */
export function thingOwed({ what }: Pick<Owed, 'what'>): OwedThing {
  return thingOf[what];
}

/** What is missing of each thing, where it is wanted. */
const owing: Readonly<Record<OwedThing, (recorded: Recorded, finisher: PersonId) => readonly Owing[]>> = {
  steps: ({ steps, shares }, finisher) => {
    const ofOthers = shares.filter(({ personId }) => personId !== finisher);
    const inShare = sharesOfSteps(ofOthers, steps);
    const progress = progressOfShares(ofOthers, steps);
    return [
      ...placed(steps).flatMap(({ step, isInForce }): Owing[] =>
        isInForce && step.answer === null && !inShare.has(step.id)
          ? [{ what: 'step', stepId: step.id, text: step.text }]
          : [],
      ),
      ...ofOthers.flatMap(({ id, personId }): Owing[] => {
        const standing = progress.get(id);
        return standing === undefined || isShareDone(standing)
          ? []
          : [{ what: 'share', shareId: id, personId, progress: standing }];
      }),
    ];
  },
  readings: (recorded) => readingsOwed(recorded, false),
  meter: (recorded) => readingsOwed(recorded, true),
  fault: ({ entries }, finisher) => unless(isThereOrNone('fault', entries, finisher), { what: 'fault' }),
  codes: ({ entries }) =>
    currentOf(entries, 'fault').flatMap(({ id, content }): Owing[] =>
      content.cause === '' || content.activity === null
        ? [{ what: 'codes', entryId: id, component: content.component }]
        : [],
    ),
  part: ({ entries }, finisher) => unless(isThereOrNone('part', entries, finisher), { what: 'part' }),
  stoppage: ({ entries }, finisher) => unless(isThereOrNone('stoppage', entries, finisher), { what: 'stoppage' }),
  stoppageEnd: ({ entries }) =>
    currentOf(entries, 'stoppage').flatMap(({ id, content }): Owing[] =>
      content.to === null ? [{ what: 'stoppageEnd', entryId: id }] : [],
    ),
  time: (recorded, finisher) => {
    const { work, entries, clocks } = recorded;
    const isOwn = peopleOn(work).includes(finisher);
    const isSaid = hasTime(entries, clocks, finisher) || (!isOwn && currentOf(entries, 'labor').length > 0);
    const others = withoutTime(recorded).filter((id) => id !== finisher);
    return [
      ...unless(isSaid, { what: 'time' }),
      ...others.map((personId): Owing => ({ what: 'timeOfAnother', personId })),
    ];
  },
  photo: ({ entries, steps }) =>
    unless(currentOf(entries, 'photo').length > 0 || isAnswered(steps, 'photo'), { what: 'photo' }),
  signature: ({ entries, steps }) =>
    unless(currentOf(entries, 'returned').length > 0 || isAnswered(steps, 'signature'), { what: 'signature' }),
  clocks: ({ clocks }, finisher) =>
    runningClocks(clocks).flatMap(({ id }): Owing[] =>
      id === finisher ? [] : [{ what: 'clockOfAnother', personId: id }],
    ),
  locks: ({ work, entries }) =>
    isolationOf(work.isolation, entries).points.flatMap(({ point, locks }) =>
      locks.map(({ by }): Owing => ({ what: 'lock', pointId: point.id, device: point.device, personId: by })),
    ),
};

function unless(isGiven: boolean, owed: Owing): readonly Owing[] {
  return isGiven ? [] : [owed];
}

function isThereOrNone(kind: 'fault' | 'part' | 'stoppage', entries: readonly Entry[], finisher: PersonId): boolean {
  return currentOf(entries, kind).length > 0 || saidNone(entries, finisher).includes(kind);
}

function hasTime(entries: readonly Entry[], clocks: readonly Clock[], personId: PersonId): boolean {
  return (
    runningClocks(clocks).some(({ id }) => id === personId) ||
    currentOf(entries, 'labor').some(({ content }) => content.personId === personId) ||
    saidNone(entries, personId).includes('time')
  );
}

function isAnswered(steps: readonly Step[], type: 'photo' | 'signature'): boolean {
  return steps.some(({ answer }) => answer?.value.type === type);
}

function readingsOwed({ points, entries }: Recorded, isMeter: boolean): Owing[] {
  const taken = new Set(currentOf(entries, 'reading').map(({ content }) => content.pointId));
  return points
    .filter((point) => point.isMeter === isMeter && !taken.has(point.id))
    .map(({ id, name }) => ({ what: 'reading', pointId: id, name, isMeter }));
}

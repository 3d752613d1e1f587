import { asId, type CrewId } from '../../../kernel/ids';
import { aCrew, ann, aWorkOrder, bob, lea, noon } from '../../../testing/builders';
import { minutesLater } from '../../../testing/works';
import type { WorkOrder } from './work-order';
import { endOf, isReplicated } from './carried';
import { assigneesOf, fullyReplicatedFor, isWholeFor } from './assignment';

describe('what a phone carries', () => {
  const carriedAt = (work: WorkOrder, ...minutes: number[]): boolean[] =>
    minutes.map((each) => isReplicated(work, minutesLater(each)));

  it('is open work, and accepted or dropped work for three days', () => {
    expect(isReplicated(aWorkOrder(), noon)).toBe(true);
    const accepted = aWorkOrder({ state: 'accepted', finishedAt: noon, closedAt: noon });
    expect(carriedAt(accepted, 3 * 1440 - 1, 3 * 1440)).toEqual([true, false]);
  });

  it('is finished work for as long as it waits, whenever it was done', () => {
    const finished = aWorkOrder({ state: 'finished', finishedAt: minutesLater(-4 * 1440) });
    expect(carriedAt(finished, 0, 30 * 1440)).toEqual([true, true]);
    expect(endOf(finished)).toBeNull();
  });

  it('counts the three days from when the end came to be known, not from when it was brought about', () => {
    const lastTransition = { by: lea.id, since: minutesLater(5 * 1440) };
    const late = aWorkOrder({ state: 'dropped', closedAt: noon, lastTransition });
    expect(carriedAt(late, 8 * 1440 - 1, 8 * 1440)).toEqual([true, false]);
  });

  it('is whole for oneself, one’s crews, and a lead', () => {
    const crews = [aCrew(), aCrew({ id: asId<CrewId>('others'), memberIds: [ann.id] })];
    const ofCrew = aWorkOrder({ personIds: [], crewId: aCrew().id });
    const ofAnn = aWorkOrder();
    expect(assigneesOf({ ...ofAnn, crewId: aCrew().id })).toEqual([ann.id, aCrew().id]);
    expect([ofCrew, ofAnn].map((work) => isWholeFor(work, fullyReplicatedFor(bob, crews)))).toEqual([true, false]);
    expect([ofCrew, ofAnn].map((work) => isWholeFor(work, fullyReplicatedFor(ann, crews)))).toEqual([false, true]);
    expect([ofCrew, ofAnn].map((work) => isWholeFor(work, fullyReplicatedFor(lea, crews)))).toEqual([true, true]);
  });
});

import { asId, type CrewId } from '../ids/ids';
import { aCrew, ann, aWorkOrder, bob, lea, noon } from '../testing/builders';
import { minutesLater } from '../testing/works';
import { assigneesOf, carriesWholeFor, isCarried, isWholeFor } from './carried';

describe('what a phone carries', () => {
  it('is open work, and ended work for three days', () => {
    expect(isCarried(aWorkOrder(), noon)).toBe(true);
    const finished = aWorkOrder({ finishedAt: noon });
    expect([3 * 1440 - 1, 3 * 1440].map((minutes) => isCarried(finished, minutesLater(minutes)))).toEqual([
      true,
      false,
    ]);
  });

  it('is whole for oneself, one’s crews, and a lead', () => {
    const crews = [aCrew(), aCrew({ id: asId<CrewId>('others'), memberIds: [ann.id] })];
    const ofCrew = aWorkOrder({ personIds: [], crewId: aCrew().id });
    const ofAnn = aWorkOrder();
    expect(assigneesOf({ ...ofAnn, crewId: aCrew().id })).toEqual([ann.id, aCrew().id]);
    expect([ofCrew, ofAnn].map((work) => isWholeFor(work, carriesWholeFor(bob, crews)))).toEqual([true, false]);
    expect([ofCrew, ofAnn].map((work) => isWholeFor(work, carriesWholeFor(ann, crews)))).toEqual([false, true]);
    expect([ofCrew, ofAnn].map((work) => isWholeFor(work, carriesWholeFor(lea, crews)))).toEqual([true, true]);
  });
});

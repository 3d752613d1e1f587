import type { FoundWork } from '@oilcan/core/overview/find';
import { isPutOff } from '@oilcan/core/finishing/schedule';
import { isAssignedTo, isOpen, type WorkOrder } from '@oilcan/core/orders/work';
import { now, peekRow, usePhone, useSettings, useTable } from '../../../data/store/store';
import { sayLocalDay, sayMoment } from '../../../words/dates';
import { stateOf } from '../../../words/work-words';

/**
 * Says how a job stands, and why it is not in one's own list: that it has ended and when, whose it is, that it is put off, or that the list
 * is narrowed to others.
 */
export function useWhyNotListed(isHidden?: (work: WorkOrder) => boolean): (work: FoundWork | WorkOrder) => string {
  const person = usePhone((state) => state.person);
  const settings = useSettings();
  const crews = useTable('crews');
  return (work) => {
    if (person === null || settings === undefined) return '';
    const present = now();
    const ended = 'endedAt' in work ? work.endedAt : (work.closedAt ?? work.finishedAt);
    if (!isOpen(work.state)) {
      const state = stateOf(work).toLowerCase();
      return ended === null ? state : `${state} ${sayMoment(ended, present, settings.zone, settings.language)}`;
    }
    const state = work.state === 'ready' && work.handedBack === null ? '' : `${stateOf(work).toLowerCase()}, `;
    const crewsById = new Map(crews.map((crew) => [crew.id, crew]));
    // A lead's list is everybody's: what is theirs is still another question.
    const crew = work.crewId === null ? undefined : crewsById.get(work.crewId);
    if (!('reason' in work) || !isAssignedTo(work, person.id, crew)) return `${state}${whoseWords(work)}`;
    if (work.putOff != null && isPutOff(work, present, settings.zone))
      return `${state}put off to ${sayLocalDay(work.putOff.until, present, settings.zone, settings.language)}`;
    if (isHidden?.(work) === true) return `${state}yours, not in the list while it is narrowed`;
    return `${state}yours`;
  };
}

function whoseWords({ personIds, crewId }: Pick<WorkOrder, 'personIds' | 'crewId'>): string {
  const names = [
    ...personIds.map((id) => peekRow('people', id)?.name),
    crewId === null ? undefined : peekRow('crews', crewId)?.name,
  ];
  const known = names.filter((name) => name !== undefined);
  return known.length === 0 ? 'nobody’s yet' : `with ${known.join(', ')}`;
}

import { useMemo } from 'react';
import { byId, formatDuration, type Instant } from '@oilcan/core/kernel';
import { peopleOn, urgencies, type WorkOrder } from '@oilcan/core/orders/work';
import { useSettings, useTable } from '../../../data/store/store';
import type { TableColumn } from '../../../ui/layout/sorted-table';
import { sayDue, sayLocalDay, sayMoment } from '../../../words/dates';
import { kindWords, stateOf, urgencyWords } from '../../../words/work-words';

/** What has no due time comes after all that has one. */
const LAST = '9999';

/** What a table says of a work order. */
export function useWorkColumns(present: Instant): readonly TableColumn<WorkOrder>[] {
  const settings = useSettings();
  const zone = settings?.zone ?? 'UTC';
  const language = settings?.language ?? 'en';
  const people = useTable('people');
  const crews = useTable('crews');
  const assetRows = useTable('assets');
  const placeRows = useTable('places');
  return useMemo((): readonly TableColumn<WorkOrder>[] => {
    const assets = byId(assetRows);
    const places = byId(placeRows);
    const persons = byId(people);
    const crewById = byId(crews);
    const moment = (at: Instant): string => sayMoment(at, present, zone, language);
    const who = (work: WorkOrder): string =>
      [
        ...peopleOn(work).map((id) => persons.get(id)?.name ?? ''),
        work.crewId === null ? '' : (crewById.get(work.crewId)?.name ?? ''),
      ]
        .filter((name) => name !== '')
        .join(', ');
    return [
      { id: 'number', heading: 'Number', width: 76, value: ({ number }) => number },
      { id: 'title', heading: 'What', width: 220, grows: true, value: ({ title }) => title },
      {
        id: 'machine',
        heading: 'Machine',
        width: 150,
        grows: true,
        value: ({ assetId }) => assets.get(assetId)?.name ?? '',
      },
      { id: 'place', heading: 'Place', width: 130, value: ({ placeId }) => places.get(placeId)?.name ?? '' },
      { id: 'kind', heading: 'Kind', width: 96, value: ({ kind }) => kindWords[kind] },
      {
        id: 'trade',
        heading: 'Trade',
        width: 104,
        value: ({ tradeId }) => settings?.trades.find(({ id }) => id === tradeId)?.name ?? '',
      },
      {
        id: 'urgency',
        heading: 'Urgency',
        width: 88,
        value: ({ urgency }) => urgencies.indexOf(urgency),
        words: ({ urgency }) => urgencyWords[urgency],
      },
      { id: 'state', heading: 'State', width: 92, value: stateOf },
      {
        id: 'due',
        heading: 'Due',
        width: 100,
        value: ({ dueAt }) => dueAt ?? LAST,
        words: ({ dueAt }) => (dueAt === null ? '' : sayDue(dueAt, present, zone, language)),
      },
      {
        id: 'planned',
        heading: 'Planned for',
        isExtra: true,
        width: 100,
        value: ({ plannedOn }) => plannedOn ?? LAST,
        words: ({ plannedOn }) => (plannedOn == null ? '' : sayLocalDay(plannedOn, present, zone, language)),
      },
      {
        id: 'estimate',
        heading: 'How long',
        width: 84,
        isFigure: true,
        value: ({ estimateMinutes }) => estimateMinutes,
        words: ({ estimateMinutes }) => (estimateMinutes === 0 ? '' : formatDuration(estimateMinutes)),
      },
      { id: 'who', heading: 'Who', width: 140, value: who },
      {
        id: 'raised',
        heading: 'Raised',
        isExtra: true,
        width: 92,
        value: ({ createdAt }) => createdAt,
        words: ({ createdAt }) => moment(createdAt),
      },
    ];
  }, [assetRows, placeRows, people, crews, settings, present, zone, language]);
}

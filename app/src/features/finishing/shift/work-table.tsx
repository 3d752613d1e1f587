import { useMemo, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { byId, formatDuration, type Instant } from '@oilcan/core/kernel';
import { isOpen, peopleOn, urgencies, type WorkOrder } from '@oilcan/core/orders/work';
import { usePhone, useSettings, useTable } from '../../../data/store/store';
import { useNow } from '../../../data/store/use-now';
import { FilterChip, FilterChips } from '../../../ui/fields/filter-chips';
import { lazyComponent } from '../../../ui/loading/lazy-component';
import { Button } from '../../../ui/press/press';
import { withSharedCode } from '../../../ui/loading/shared-code';
import type { TableColumn, TableProps } from '../../../ui/layout/sorted-table';
import { AppText } from '../../../ui/theme/app-text';
import { sayDue, sayLocalDay, sayMoment } from '../../../words/dates';
import { counted, kindWords, stateOf, urgencyWords } from '../../../words/work-words';
import { TopBar } from '../../frame/page/top-bar';
import { useBack } from '../../frame/page/use-back';
import { onSite, useSite } from '../../frame/page/use-site';
import { FilterLine } from './filter-line';
import { choicesAmong, isNarrowed, isWithin, narrowedTo } from './narrowing';
import { NarrowSheet } from './narrow-sheet';
import { once } from './shift-list';
import { forgetShiftChoice, useShiftChoice, WORK_TABLE } from './use-narrowing';
import { useShift } from './use-shift';

const Table = lazyComponent<TableProps<WorkOrder>>(() =>
  import('../../../ui/layout/sorted-table').then((module) => module.SortedTable<WorkOrder>),
);

/** Which work: what Shift lists, or what has left it. */
const whiches = ['open', 'finished', 'ended'] as const;
type Which = (typeof whiches)[number];
const whichWords: Readonly<Record<Which, string>> = {
  open: 'Open',
  finished: 'Finished, not accepted',
  ended: 'Ended lately',
};

const dueFirst = { id: 'due', desc: false };
/** What has no due time comes after all that has one. */
const LAST = '9999';

/** For the office: all work that the person may see, as a table that is narrowed as Shift is, sorted, and saved as it is seen. */
export function WorkTable(): ReactElement | null {
  const back = useBack('/shift');
  const present = useNow(60);
  const settings = useSettings();
  const site = useSite();
  const zone = settings?.zone ?? 'UTC';
  const language = settings?.language ?? 'en';
  const { shown, choose } = useShiftChoice(zone);
  const [which, setWhich] = useState<Which>('open');
  const [isNarrowing, setIsNarrowing] = useState(false);
  const shift = useShift(shown);
  const me = usePhone((state) => state.person?.id);
  const workOrders = useTable('workOrders');
  const people = useTable('people');
  const crews = useTable('crews');
  const assetRows = useTable('assets');
  const placeRows = useTable('places');
  const all = useMemo(() => onSite(workOrders, site), [workOrders, site]);
  const open = shift?.listed;
  const among = useMemo(() => amongWhich(all, open?.map(({ work }) => work) ?? []), [all, open]);
  const rows = useMemo(
    () => among[which].filter((work) => isWithin(work, shown.narrowing, { now: present, zone })),
    [among, which, shown.narrowing, present, zone],
  );
  const choices = useMemo(
    () =>
      once(() =>
        choicesAmong(
          among[which],
          shown.narrowing,
          {
            trade: (id) => settings?.trades.find((trade) => trade.id === id)?.name,
            place: (id) => placeRows.find((place) => place.id === id)?.name,
            day: (day) => day,
          },
          { now: present, zone },
        ),
      ),
    [among, which, shown.narrowing, settings, placeRows, present, zone],
  );
  const columns = useMemo((): readonly TableColumn<WorkOrder>[] => {
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
  if (me === undefined || shift === null) return null;
  const save = async (sorted: readonly WorkOrder[], seen: readonly TableColumn<WorkOrder>[]): Promise<void> => {
    const { saveTable } = await withSharedCode(() => import('../../../data/browser/save-table'));
    saveTable(
      'work',
      seen.map(({ heading }) => heading),
      sorted.map((work) => seen.map(({ value, words }) => (words ?? value)(work))),
    );
  };
  const top = (sorted: readonly WorkOrder[], seen: readonly TableColumn<WorkOrder>[]): ReactElement => (
    <View style={sheet.top}>
      <View style={sheet.line}>
        <AppText as="heading" level={2} style={sheet.grows}>
          {rows.length === among[which].length
            ? counted(rows.length, 'job', 'jobs')
            : `${rows.length} of ${counted(among[which].length, 'job', 'jobs')}`}
        </AppText>
        <Button
          word="Save as CSV"
          cannot={sorted.length === 0 && 'No job is shown that could be saved.'}
          onPress={() => void save(sorted, seen)}
        />
      </View>
      <FilterChips label="Which work" isOneOf>
        {whiches.map((each) => (
          <FilterChip
            key={each}
            word={whichWords[each]}
            count={among[each].length}
            isOn={each === which}
            onPress={() => setWhich(each)}
          />
        ))}
      </FilterChips>
      <FilterLine
        listed={shift.listed}
        among={choices()}
        shown={shown}
        present={{ now: present, zone }}
        onChange={choose}
        onMore={() => setIsNarrowing(true)}
      />
      {isNarrowed(shown.narrowing) ? (
        <View style={sheet.line}>
          <AppText live style={sheet.grows}>
            Only {narrowedTo(shown.narrowing, choices())}.
          </AppText>
          <Button rank="quiet" word="Show all" onPress={forgetShiftChoice} />
        </View>
      ) : null}
    </View>
  );
  return (
    <View style={sheet.screen}>
      <TopBar title="Work as a table" {...back} />
      <Table
        name={WORK_TABLE}
        label="Work"
        rows={rows}
        columns={columns}
        idOf={({ id }) => id}
        sortedBy={dueFirst}
        top={top}
        empty={<AppText style={sheet.top}>No work is all of this.</AppText>}
        opens={{ column: 'number', does: { href: ({ id }) => `/shift/${id}` } }}
        testIdOf={({ number }) => `row-${number}`}
      />
      {isNarrowing ? (
        <NarrowSheet
          among={choices()}
          shown={shown}
          left={rows.length}
          onChange={choose}
          onClose={() => setIsNarrowing(false)}
        />
      ) : null}
    </View>
  );
}

/** What Shift lists, what waits to be accepted, and what this phone still has of the rest. */
function amongWhich(
  all: readonly WorkOrder[],
  listed: readonly WorkOrder[],
): Readonly<Record<Which, readonly WorkOrder[]>> {
  return {
    open: listed.filter(({ state }) => isOpen(state)),
    finished: all.filter(({ state }) => state === 'finished'),
    ended: all.filter(({ state }) => state === 'accepted' || state === 'dropped'),
  };
}

const sheet = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  top: { paddingHorizontal: 16, paddingTop: 8, gap: 8 },
  line: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8 },
  grows: { flexGrow: 1 },
});

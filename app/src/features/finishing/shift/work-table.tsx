import { useMemo, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { isOpen, type WorkOrder } from '@oilcan/core/orders/work';
import { usePhone, useSettings, useTable } from '../../../data/store/store';
import { useNow } from '../../../data/store/use-now';
import { FilterChip, FilterChips } from '../../../ui/fields/filter-chips';
import { lazyComponent } from '../../../ui/loading/lazy-component';
import { Button } from '../../../ui/press/press';
import { withSharedCode } from '../../../ui/loading/shared-code';
import type { TableColumn, TableProps } from '../../../ui/layout/sorted-table';
import { AppText } from '../../../ui/theme/app-text';
import { counted } from '../../../words/work-words';
import { TopBar } from '../../frame/page/top-bar';
import { useBack } from '../../frame/page/use-back';
import { onSite, useSite } from '../../frame/page/use-site';
import { FilterLine } from './filter-line';
import { choicesAmong, isNarrowed, isWithin, narrowedTo, type AspectChoices, type Present } from './narrowing';
import { NarrowSheet } from './narrow-sheet';
import { once, type Listed, type Shown } from './shift-list';
import { forgetShiftChoice, useShiftChoice, WORK_TABLE } from './use-narrowing';
import { useShift } from './use-shift';
import { useWorkColumns } from './use-work-columns';

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

/** For the office: all work that the person may see, as a table that is narrowed as Shift is, sorted, and saved as it is seen. */
export function WorkTable(): ReactElement | null {
  const back = useBack('/shift');
  const present = useNow(60);
  const settings = useSettings();
  const site = useSite();
  const zone = settings?.zone ?? 'UTC';
  const { shown, choose } = useShiftChoice(zone);
  const [which, setWhich] = useState<Which>('open');
  const [isNarrowing, setIsNarrowing] = useState(false);
  const shift = useShift(shown);
  const me = usePhone((state) => state.person?.id);
  const workOrders = useTable('workOrders');
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
  const columns = useWorkColumns(present);
  if (me === undefined || shift === null) return null;
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
        top={(sorted, seen) => (
          <TableTop
            {...{ among, which, rows, sorted, seen, shown, choose }}
            listed={shift.listed}
            choices={choices}
            present={{ now: present, zone }}
            onWhich={setWhich}
            onMore={() => setIsNarrowing(true)}
          />
        )}
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

interface TopProps {
  readonly among: Readonly<Record<Which, readonly WorkOrder[]>>;
  readonly which: Which;
  readonly rows: readonly WorkOrder[];
  /** The rows and columns as they are seen. */
  readonly sorted: readonly WorkOrder[];
  readonly seen: readonly TableColumn<WorkOrder>[];
  readonly listed: readonly Listed[];
  readonly choices: () => readonly AspectChoices[];
  readonly shown: Shown;
  readonly present: Present;
  readonly choose: (choice: Shown) => void;
  readonly onWhich: (which: Which) => void;
  readonly onMore: () => void;
}

/** Above the table: how many it has, saving it, and by what it is narrowed. */
function TableTop(props: TopProps): ReactElement {
  const { among, which, rows, sorted, seen, listed, choices, shown, present, choose, onWhich, onMore } = props;
  return (
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
          onPress={() => void saveWork(sorted, seen)}
        />
      </View>
      <FilterChips label="Which work" isOneOf>
        {whiches.map((each) => (
          <FilterChip
            key={each}
            word={whichWords[each]}
            count={among[each].length}
            isOn={each === which}
            onPress={() => onWhich(each)}
          />
        ))}
      </FilterChips>
      <FilterLine listed={listed} among={choices()} shown={shown} present={present} onChange={choose} onMore={onMore} />
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
}

async function saveWork(sorted: readonly WorkOrder[], seen: readonly TableColumn<WorkOrder>[]): Promise<void> {
  const { saveTable } = await withSharedCode(() => import('../../../data/browser/save-table'));
  saveTable(
    'work',
    seen.map(({ heading }) => heading),
    sorted.map((work) => seen.map(({ value, words }) => (words ?? value)(work))),
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

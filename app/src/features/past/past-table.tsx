import {
  createColumnHelper,
  getCoreRowModel,
  getSortedRowModel,
  useReactTable,
  type Row,
  type SortingState,
} from '@tanstack/react-table';
import { useRouter } from 'expo-router';
import Papa from 'papaparse';
import { memo, useMemo, useRef, useState, type ReactElement } from 'react';
import { FlatList, StyleSheet, View } from 'react-native';
import { formatDuration } from '@oilcan/core/kernel';
import type { PastEvent, PastEventKind } from '@oilcan/core/past';
import { saveFile } from '../../data/save-file';
import { now, peekRow, useSettings } from '../../data/store';
import { Button, Press } from '../../ui/press';
import { usePalette } from '../../ui/use-palette';
import { Words } from '../../ui/words';
import { sayMoment } from '../../words/dates';
import { kindWords, stateWords } from '../../words/work-words';
import { useKeptScroll } from '../page/use-kept-scroll';
import { faultLine } from '../faults';
import { eventLine } from './event-words';

interface Props {
  readonly events: readonly PastEvent[];
  readonly kind: PastEventKind;
  /** What stands above the rows, with the press that saves them. */
  readonly top: (save: ReactElement) => ReactElement;
  readonly empty: ReactElement;
  readonly foot: ReactElement | null;
  /** Of the file it is saved to. */
  readonly name: string;
  /** Of the view. */
  readonly address: string;
}

const column = createColumnHelper<PastEvent>();
const columns = [
  column.accessor('at', { header: 'When' }),
  column.accessor(({ job }) => job.number, { id: 'number', header: 'Number' }),
  column.accessor(eventLine, { id: 'what', header: 'What' }),
  column.accessor(({ job }) => job.faults.map(faultLine).join(', '), { id: 'fault', header: 'Fault' }),
  column.accessor(({ job }) => kindWords[job.kind], { id: 'kind', header: 'Kind' }),
  column.accessor(({ job }) => stateWords[job.state], { id: 'state', header: 'State' }),
  column.accessor(({ job }) => job.activeMinutes, { id: 'worked', header: 'Worked' }),
  column.accessor(({ job }) => peekRow('assets', job.assetId)?.tag ?? '', { id: 'machine', header: 'Machine' }),
];
const widths: Readonly<Record<string, number>> = {
  at: 92,
  number: 74,
  what: 240,
  fault: 190,
  kind: 92,
  state: 84,
  worked: 74,
  machine: 84,
};
/** Columns that may take what is left. */
const growing: ReadonlySet<string> = new Set(['what', 'fault']);

/** The rows on a wide screen: sorted by any column, and saved as CSV. */
export function PastTable({ events, kind, top, empty, foot, name, address }: Props): ReactElement {
  const palette = usePalette();
  const scroller = useRef<FlatList<Row<PastEvent>>>(null);
  const kept = useKeptScroll(address, scroller);
  const [sorting, setSorting] = useState<SortingState>([{ id: 'at', desc: true }]);
  const data = useMemo(() => [...events], [events]);
  const table = useReactTable({
    data,
    columns,
    state: { sorting },
    onSortingChange: setSorting,
    getRowId: ({ id }) => id,
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
  });
  const rows = table.getRowModel().rows;
  const save = (): void => {
    const lines = rows.map((row) => columns.map((_, index) => row.getVisibleCells()[index]?.getValue() ?? ''));
    const fields = [...columns.map(({ header }) => String(header)), 'Note'];
    const withNotes = lines.map((line, index) => [...line, rows[index]?.original.job.notes.join(' ') ?? '']);
    // A cell that a spreadsheet would run as a formula is quoted as text.
    const csv = Papa.unparse({ fields, data: withNotes }, { escapeFormulae: true, newline: '\r\n' });
    saveFile(`${name}-${kind}.csv`, 'text/csv;charset=utf-8', `\uFEFF${csv}`);
  };
  const headings = (
    <View>
      {top(<Button word="Save as CSV" disabled={rows.length === 0} onPress={save} />)}
      <View role="group" aria-label="Sort by" style={[sheet.row, sheet.headings, { borderColor: palette.ink }]}>
        {table.getFlatHeaders().map(({ id, column: of }) => {
          const sorted = of.getIsSorted();
          const order = sorted === false ? '' : sorted === 'asc' ? ' ▲' : ' ▼';
          const heading = String(of.columnDef.header);
          const said = sorted === false ? '' : sorted === 'asc' ? ', rising' : ', falling';
          return (
            <Press key={id} label={`${heading}${order}${said}`} onPress={() => of.toggleSorting()} style={cell(id)}>
              <Words as="label">
                {heading}
                {order}
              </Words>
            </Press>
          );
        })}
      </View>
    </View>
  );
  return (
    <FlatList
      ref={scroller}
      {...kept}
      role="main"
      data={rows}
      keyExtractor={({ id }) => id}
      renderItem={({ item }) => <TableRow event={item.original} />}
      initialNumToRender={20}
      windowSize={5}
      ListHeaderComponent={headings}
      ListEmptyComponent={empty}
      ListFooterComponent={foot}
      contentContainerStyle={sheet.list}
    />
  );
}

const cell = (id: string) => ({
  flexBasis: widths[id] ?? 80,
  flexGrow: growing.has(id) ? 1 : 0,
  flexShrink: 1,
  minWidth: 0,
});

const TableRow = memo(function TableRow({ event }: { readonly event: PastEvent }): ReactElement {
  const palette = usePalette();
  const router = useRouter();
  const settings = useSettings();
  const { job } = event;
  const values: readonly (readonly [string, string])[] = [
    ['at', settings === undefined ? event.at : sayMoment(event.at, now(), settings.zone, settings.language)],
    ['number', job.number],
    ['what', eventLine(event)],
    ['fault', job.faults.map(faultLine).join(', ')],
    ['kind', kindWords[job.kind]],
    ['state', stateWords[job.state]],
    ['worked', job.activeMinutes === 0 ? '' : formatDuration(job.activeMinutes)],
    ['machine', peekRow('assets', job.assetId)?.tag ?? ''],
  ];
  return (
    <Press
      role="link"
      onPress={() => router.navigate(`/shift/${job.id}`)}
      style={[sheet.row, { borderColor: palette.line, backgroundColor: palette.card }]}
    >
      {values.map(([id, text]) => (
        <View key={id} style={cell(id)}>
          <Words as="small" lines={2}>
            {text}
          </Words>
        </View>
      ))}
    </Press>
  );
});

const sheet = StyleSheet.create({
  list: { paddingBottom: 24 },
  headings: { borderBottomWidth: 2 },
  row: {
    flexDirection: 'row',
    gap: 10,
    paddingHorizontal: 16,
    alignItems: 'center',
    borderBottomWidth: 1,
    minHeight: 52,
  },
});

import {
  getCoreRowModel,
  getSortedRowModel,
  useReactTable,
  type ColumnDef,
  type SortingState,
  type Updater,
} from '@tanstack/react-table';
import { useRouter } from 'expo-router';
import { memo, useMemo, useState, type ReactElement, type ReactNode, type Ref } from 'react';
import { FlatList, StyleSheet, View, type FlatListProps, type ViewProps } from 'react-native';
import { DataTable } from 'react-native-paper';
import { BottomSheet } from './bottom-sheet';
import { Choice, Choices } from '../fields/choice';
import { useKeptTable } from '../state/kept-tables';
import { LinkPress } from '../press/link-press';
import { RowsScroll } from './list';
import { Button, Press } from '../press/press';
import { TARGET } from '../theme/theme';
import Touchable from '../press/touchable';
import { textStyles } from '../theme/type';
import { usePalette } from '../theme/use-palette';
import { AppText } from '../theme/app-text';

export interface TableColumn<Row> {
  readonly id: string;
  readonly heading: string;
  /** In points; what is left over goes to the columns that grow. */
  readonly width: number;
  readonly grows?: boolean;
  /** Not shown before somebody chooses it. */
  readonly isExtra?: boolean;
  /** Stands at the right, as figures do. */
  readonly isFigure?: boolean;
  /** What rows are sorted by, and saved as. */
  readonly value: (row: Row) => string | number;
  /** What is shown; the value, where nothing is said. */
  readonly words?: (row: Row) => string;
}

/** What a press on a row does: it leads somewhere, or opens something here. */
interface Opens<Row> {
  /** The column whose words are the link or the key; a press anywhere on the row does the same. */
  readonly column: string;
  readonly does: { readonly href: (row: Row) => string } | { readonly press: (row: Row) => void };
}

export interface TableProps<Row> {
  /** Under which it is kept how the person wants it: which columns, and sorted by which. */
  readonly name: string;
  /** What the rows are, for who does not see it. */
  readonly label: string;
  readonly rows: readonly Row[];
  readonly columns: readonly TableColumn<Row>[];
  readonly idOf: (row: Row) => string;
  readonly sortedBy: { readonly id: string; readonly desc: boolean };
  /** Stands above the rows, and is given them as they are sorted, with the columns that are shown: what is saved is what is seen. */
  readonly top: (sorted: readonly Row[], shown: readonly TableColumn<Row>[]) => ReactNode;
  readonly empty: ReactElement;
  readonly foot?: ReactElement | null;
  readonly opens?: Opens<Row>;
  readonly testIdOf?: (row: Row) => string;
  readonly scroller?: Ref<FlatList<Row>>;
  /** Of the list, where its place is kept. */
  readonly kept?: Pick<FlatListProps<Row>, 'onScroll' | 'onContentSizeChange' | 'scrollEventThrottle'>;
}

/**
 * Rows on a wide screen, sorted by any column with a press on its head, with the columns that the person wants.
 *
 * @example const Table = piece<TableProps<Part>>(() => import('./sorted-table').then((module) => module.SortedTable<Part>));
 */
export function SortedTable<Row>({
  name,
  label,
  rows,
  columns: all,
  idOf,
  sortedBy,
  top,
  empty,
  foot = null,
  opens,
  testIdOf,
  scroller,
  kept,
}: TableProps<Row>): ReactElement {
  const palette = usePalette();
  const [wanted, keep] = useKeptTable(name);
  const [isChoosing, setIsChoosing] = useState(false);
  const hidden = useMemo(
    () => wanted.hidden ?? all.filter(({ isExtra = false }) => isExtra).map(({ id }) => id),
    [wanted.hidden, all],
  );
  // What opens a row always stays: without it nobody gets there by keys.
  const opener = opens?.column;
  const columns = useMemo(
    () =>
      shownAmong(
        all,
        hidden.filter((id) => id !== opener),
      ),
    [all, hidden, opener],
  );
  const chosen = wanted.sortedBy;
  const sorting = useMemo(
    (): SortingState => [chosen !== null && columns.some(({ id }) => id === chosen.id) ? chosen : sortedBy],
    [chosen, columns, sortedBy],
  );
  const setSorting = (next: Updater<SortingState>): void => {
    const [by = null] = typeof next === 'function' ? next(sorting) : next;
    keep({ ...wanted, sortedBy: by });
  };
  const data = useMemo(() => [...rows], [rows]);
  const defined = useMemo(
    () => all.map(({ id, heading, value }): ColumnDef<Row> => ({ id, header: heading, accessorFn: value })),
    [all],
  );
  const table = useReactTable({
    data,
    columns: defined,
    state: { sorting },
    onSortingChange: setSorting,
    getRowId: idOf,
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
  });
  const sorted = table.getRowModel().rows.map(({ original }) => original);
  const heads = (
    <View role="row" style={[sheet.heads, { borderColor: palette.ink }]}>
      {columns.map((column) => {
        const of = table.getColumn(column.id);
        const order = of?.getIsSorted() ?? false;
        return (
          <View
            key={column.id}
            role="columnheader"
            aria-sort={order === false ? 'none' : order === 'asc' ? 'ascending' : 'descending'}
            style={cell(column)}
          >
            <DataTable.Title
              role="button"
              numeric={column.isFigure === true}
              numberOfLines={2}
              onPress={() => of?.toggleSorting()}
              {...(order === false ? {} : { sortDirection: order === 'asc' ? 'ascending' : 'descending' })}
              style={sheet.title}
              textStyle={[textStyles.label, { color: palette.ink }]}
            >
              {column.heading}
            </DataTable.Title>
          </View>
        );
      })}
    </View>
  );
  return (
    <FlatList
      {...(scroller === undefined ? {} : { ref: scroller })}
      {...kept}
      role="main"
      data={sorted}
      keyExtractor={idOf}
      renderScrollComponent={(props) => (
        <RowsScroll
          {...props}
          rowsAre={{ role: 'table', 'aria-label': label, 'aria-rowcount': sorted.length + 1 } as ViewProps}
          heads={heads}
        />
      )}
      renderItem={({ item, index }) => (
        <TableRow
          row={item}
          index={index}
          columns={columns as readonly TableColumn<unknown>[]}
          {...(opens === undefined ? {} : { opens: opens as Opens<unknown> })}
          {...(testIdOf === undefined ? {} : { testID: testIdOf(item) })}
        />
      )}
      initialNumToRender={20}
      windowSize={5}
      ListHeaderComponent={
        <View>
          {top(sorted, columns)}
          <View style={sheet.choose}>
            <Button
              rank="quiet"
              word={hidden.length === 0 ? 'Columns' : `Columns: ${columns.length} of ${all.length}`}
              onPress={() => setIsChoosing(true)}
            />
          </View>
          {isChoosing ? (
            <ColumnsSheet
              columns={all.filter(({ id }) => id !== opener)}
              hidden={hidden}
              onChange={(next) => keep({ ...wanted, hidden: next })}
              onClose={() => setIsChoosing(false)}
            />
          ) : null}
        </View>
      }
      ListEmptyComponent={empty}
      ListFooterComponent={foot}
      contentContainerStyle={sheet.list}
    />
  );
}

/** The columns that are wanted; all of them where none would be left. */
function shownAmong<Column extends { readonly id: string }>(
  columns: readonly Column[],
  hidden: readonly string[],
): readonly Column[] {
  const shown = columns.filter(({ id }) => !hidden.includes(id));
  return shown.length === 0 ? columns : shown;
}

interface ColumnsProps {
  readonly columns: readonly { readonly id: string; readonly heading: string }[];
  readonly hidden: readonly string[];
  readonly onChange: (hidden: readonly string[]) => void;
  readonly onClose: () => void;
}

/** Which columns are shown; one at least. */
function ColumnsSheet({ columns, hidden, onChange, onClose }: ColumnsProps): ReactElement {
  const shown = shownAmong(columns, hidden).length;
  return (
    <BottomSheet
      title="Columns"
      onClose={onClose}
      foot={<Button word="All of them" cannot={hidden.length === 0 && 'All are shown.'} onPress={() => onChange([])} />}
    >
      <Choices label="Columns that are shown" isMany>
        {columns.map(({ id, heading }) => {
          const isShown = !hidden.includes(id);
          return (
            <Choice
              key={id}
              isMany
              word={heading}
              isChosen={isShown}
              // The last one stays: a table without columns says nothing.
              onPress={() => {
                if (!isShown) onChange(hidden.filter((each) => each !== id));
                else if (shown > 1) onChange([...hidden, id]);
              }}
            />
          );
        })}
      </Choices>
    </BottomSheet>
  );
}

const cell = <Row,>({ width, grows = false }: TableColumn<Row>) => ({
  flexBasis: width,
  flexGrow: grows ? 1 : 0,
  flexShrink: 1,
  minWidth: 0,
});

interface RowProps {
  readonly row: unknown;
  readonly index: number;
  readonly columns: readonly TableColumn<unknown>[];
  readonly opens?: Opens<unknown>;
  readonly testID?: string;
}

const TableRow = memo(function TableRow({ row, index, columns, opens, testID }: RowProps): ReactElement {
  const palette = usePalette();
  const router = useRouter();
  const cells = columns.map((column) => (
    <View key={column.id} role="cell" style={[cell(column), column.isFigure === true && sheet.figure]}>
      {opens?.column === column.id ? (
        <Opener does={opens.does} row={row} words={String((column.words ?? column.value)(row))} />
      ) : (
        <AppText as="small" lines={2}>
          {(column.words ?? column.value)(row)}
        </AppText>
      )}
    </View>
  ));
  const look = [sheet.row, { borderColor: palette.line, backgroundColor: palette.card }];
  const open = (): void => {
    if (opens === undefined) return;
    if ('press' in opens.does) opens.does.press(row);
    else router.navigate(opens.does.href(row));
  };
  // Of the table the first row are the heads.
  const isRow = { role: 'row' as const, 'aria-rowindex': index + 2, ...(testID === undefined ? {} : { testID }) };
  if (opens === undefined) {
    return (
      <View {...isRow} style={[look, sheet.cells]}>
        {cells}
      </View>
    );
  }
  return (
    <Touchable {...isRow} tabIndex={-1} onPress={open} style={[look, sheet.cells]}>
      <>{cells}</>
    </Touchable>
  );
});

interface OpenerProps extends Pick<Opens<unknown>, 'does'> {
  readonly row: unknown;
  readonly words: string;
}

function Opener({ does, row, words }: OpenerProps): ReactElement {
  const shown = (
    <AppText as="small" style={sheet.link}>
      {words}
    </AppText>
  );
  return 'press' in does ? (
    <Press onPress={() => does.press(row)}>{shown}</Press>
  ) : (
    <LinkPress href={does.href(row)}>{shown}</LinkPress>
  );
}

const sheet = StyleSheet.create({
  list: { paddingBottom: 24 },
  choose: { flexDirection: 'row', justifyContent: 'flex-end', paddingHorizontal: 16 },
  heads: { flexDirection: 'row', gap: 10, paddingHorizontal: 16, borderBottomWidth: 2 },
  title: { minHeight: TARGET, paddingVertical: 4, alignItems: 'center', flex: undefined },
  link: { textDecorationLine: 'underline' },
  row: { paddingHorizontal: 16, borderBottomWidth: 1, minHeight: 52, justifyContent: 'center' },
  cells: { flexDirection: 'row', alignItems: 'center', gap: 10 },
  figure: { alignItems: 'flex-end' },
});

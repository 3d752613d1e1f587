import {
  getCoreRowModel,
  getSortedRowModel,
  useReactTable,
  type ColumnDef,
  type SortingState,
} from '@tanstack/react-table';
import { memo, useMemo, useState, type ReactElement, type ReactNode, type Ref } from 'react';
import { FlatList, StyleSheet, View, type FlatListProps } from 'react-native';
import { DataTable } from 'react-native-paper';
import { TARGET } from './theme';
import { textStyles } from './type';
import { usePalette } from './use-palette';
import { Words } from './words';

export interface TableColumn<Row> {
  readonly id: string;
  readonly heading: string;
  /** In points; what is left over goes to the columns that grow. */
  readonly width: number;
  readonly grows?: boolean;
  /** Stands at the right, as figures do. */
  readonly isFigure?: boolean;
  /** What rows are sorted by, and saved as. */
  readonly value: (row: Row) => string | number;
  /** What is shown; the value, where nothing is said. */
  readonly words?: (row: Row) => string;
}

export interface TableProps<Row> {
  readonly rows: readonly Row[];
  readonly columns: readonly TableColumn<Row>[];
  readonly idOf: (row: Row) => string;
  readonly sortedBy: { readonly id: string; readonly desc: boolean };
  /** Stands above the rows, and is given them as they are sorted. */
  readonly top: (sorted: readonly Row[]) => ReactNode;
  readonly empty: ReactElement;
  readonly foot?: ReactElement | null;
  readonly onPress?: (row: Row) => void;
  readonly testIdOf?: (row: Row) => string;
  readonly scroller?: Ref<FlatList<Row>>;
  /** Of the list, where its place is kept. */
  readonly kept?: Pick<FlatListProps<Row>, 'onScroll' | 'onContentSizeChange' | 'scrollEventThrottle'>;
}

/**
 * Rows on a wide screen, sorted by any column with a press on its head.
 *
 * @example const Table = piece<TableProps<Part>>(() => import('./sorted-table').then((module) => module.SortedTable<Part>));
 */
export function SortedTable<Row>({
  rows,
  columns,
  idOf,
  sortedBy,
  top,
  empty,
  foot = null,
  onPress,
  testIdOf,
  scroller,
  kept,
}: TableProps<Row>): ReactElement {
  const palette = usePalette();
  const [sorting, setSorting] = useState<SortingState>([sortedBy]);
  const data = useMemo(() => [...rows], [rows]);
  const defined = useMemo(
    () => columns.map(({ id, heading, value }): ColumnDef<Row> => ({ id, header: heading, accessorFn: value })),
    [columns],
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
    <View>
      {top(sorted)}
      <View role="group" aria-label="Sort by" style={[sheet.heads, { borderColor: palette.ink }]}>
        {columns.map((column) => {
          const of = table.getColumn(column.id);
          const order = of?.getIsSorted() ?? false;
          const said = order === false ? '' : order === 'asc' ? ', rising' : ', falling';
          return (
            <DataTable.Title
              key={column.id}
              role="button"
              aria-label={`${column.heading}${said}`}
              numeric={column.isFigure === true}
              numberOfLines={2}
              onPress={() => of?.toggleSorting()}
              {...(order === false ? {} : { sortDirection: order === 'asc' ? 'ascending' : 'descending' })}
              style={[sheet.title, cell(column)]}
              textStyle={[textStyles.label, { color: palette.ink }]}
            >
              {column.heading}
            </DataTable.Title>
          );
        })}
      </View>
    </View>
  );
  return (
    <FlatList
      {...(scroller === undefined ? {} : { ref: scroller })}
      {...kept}
      role="main"
      data={sorted}
      keyExtractor={idOf}
      renderItem={({ item }) => (
        <TableRow
          row={item}
          columns={columns as readonly TableColumn<unknown>[]}
          {...(onPress === undefined ? {} : { onPress: onPress as (row: unknown) => void })}
          {...(testIdOf === undefined ? {} : { testID: testIdOf(item) })}
        />
      )}
      initialNumToRender={20}
      windowSize={5}
      ListHeaderComponent={heads}
      ListEmptyComponent={empty}
      ListFooterComponent={foot}
      contentContainerStyle={sheet.list}
    />
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
  readonly columns: readonly TableColumn<unknown>[];
  readonly onPress?: (row: unknown) => void;
  readonly testID?: string;
}

const TableRow = memo(function TableRow({ row, columns, onPress, testID }: RowProps): ReactElement {
  const palette = usePalette();
  const cells = columns.map((column) => (
    <View key={column.id} style={[cell(column), column.isFigure === true && sheet.figure]}>
      <Words as="small" lines={2}>
        {(column.words ?? column.value)(row)}
      </Words>
    </View>
  ));
  const look = [sheet.row, { borderColor: palette.line, backgroundColor: palette.card }];
  if (onPress === undefined) {
    return (
      <View style={[look, sheet.cells]} {...(testID === undefined ? {} : { testID })}>
        {cells}
      </View>
    );
  }
  return (
    <DataTable.Row role="link" onPress={() => onPress(row)} style={look} {...(testID === undefined ? {} : { testID })}>
      <View style={sheet.cells}>{cells}</View>
    </DataTable.Row>
  );
});

const sheet = StyleSheet.create({
  list: { paddingBottom: 24 },
  heads: { flexDirection: 'row', gap: 10, paddingHorizontal: 16, borderBottomWidth: 2 },
  title: { minHeight: TARGET, paddingVertical: 4, alignItems: 'center', flex: undefined },
  row: { paddingHorizontal: 16, borderBottomWidth: 1, minHeight: 52, justifyContent: 'center' },
  cells: { flex: 1, flexDirection: 'row', alignItems: 'center', gap: 10 },
  figure: { alignItems: 'flex-end' },
});

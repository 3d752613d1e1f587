import { lazy, useMemo, useState, type ReactElement } from 'react';
import { FlatList, StyleSheet, View } from 'react-native';
import { formatMoney, money, type Part } from '@oilcan/core';
import { useRow, useSettings, useTable } from '../../data/store';
import { Field } from '../../ui/field';
import { Button } from '../../ui/press';
import { useIsWide, usePalette } from '../../ui/theme';
import { Words } from '../../ui/words';
import { counted } from '../../words/work-words';
import { TopBar } from '../frame/top-bar';
import { amountOf, useStockOf } from '../sheet/kit';
import { binLabels } from './bin-labels';
import { findParts, partsInBin } from './find-parts';
import { Piece } from '../../ui/piece';

const LabelSheetForm = lazy(() =>
  import('../paper/label-sheet-form').then((module) => ({ default: module.LabelSheetForm })),
);

/** What lies in which bin. */
export function StoresScreen({ given = '' }: { readonly given?: string }): ReactElement {
  const parts = useTable('parts');
  const stock = useTable('stock');
  const bins = useTable('bins');
  const stores = useTable('stores');
  const [isPrinting, setIsPrinting] = useState(false);
  const columns = useIsWide() ? 2 : 1;
  const [find, setFind] = useState(given);
  const shown = useMemo(() => {
    if (find.trim() === '') return [...parts].sort((a, b) => (a.number < b.number ? -1 : 1));
    const inBin = partsInBin(find, bins, stock);
    return inBin.size > 0 ? parts.filter(({ id }) => inBin.has(id)) : findParts(parts, find);
  }, [parts, find, bins, stock]);
  const low = useMemo(
    () => stock.filter((level) => level.lowLevel > 0 && level.onHand < level.lowLevel).length,
    [stock],
  );
  return (
    <View style={sheet.screen}>
      <TopBar title="Stores" />
      <FlatList
        role="main"
        data={shown}
        key={columns}
        numColumns={columns}
        {...(columns > 1 ? { columnWrapperStyle: sheet.columns } : {})}
        keyExtractor={(part) => part.id}
        initialNumToRender={12}
        contentContainerStyle={sheet.list}
        ListHeaderComponent={
          <View style={sheet.head}>
            <Words as="title" level={2}>
              {low === 0 ? 'No bin is low' : `${counted(low, 'bin is', 'bins are')} low`}
            </Words>
            <View style={sheet.find}>
              <View style={sheet.field}>
                <Field label="Find a part or a bin" value={find} onChange={setFind} />
              </View>
              <Button
                word="Labels"
                icon="print"
                label="Labels for these bins"
                style={sheet.labels}
                onPress={() => setIsPrinting(true)}
              />
            </View>
          </View>
        }
        ListEmptyComponent={<Words style={sheet.head}>No part fits “{find}”.</Words>}
        renderItem={({ item }) => <PartRow part={item} />}
      />
      {isPrinting ? (
        <Piece>
          <LabelSheetForm
            labels={binLabels(shown, { stock, bins, stores })}
            name="labels-bins"
            onClose={() => setIsPrinting(false)}
          />
        </Piece>
      ) : null}
    </View>
  );
}

function PartRow({ part }: { readonly part: Part }): ReactElement {
  const palette = usePalette();
  const settings = useSettings();
  const stock = useStockOf(part.id);
  return (
    <View style={[sheet.row, { borderColor: palette.line }]} testID={`part-${part.number}`}>
      <View style={sheet.words}>
        <Words>{part.name}</Words>
        <Words as="small" soft>
          {part.number}
          {settings === undefined
            ? ''
            : ` · ${formatMoney(money(part.priceMinor, settings.currency), settings.language)} per ${part.unit}`}
          {part.isObsolete ? ' · no longer bought' : ''}
        </Words>
      </View>
      <View>
        {stock.map(({ binId, onHand }) => (
          <BinLine key={binId} binId={binId} amount={amountOf(onHand, part)} />
        ))}
      </View>
    </View>
  );
}

function BinLine({ binId, amount }: { readonly binId: string; readonly amount: string }): ReactElement {
  const bin = useRow('bins', binId);
  return (
    <Words as="label" style={sheet.bin}>
      {amount} in {bin?.label}
    </Words>
  );
}

const sheet = StyleSheet.create({
  find: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  field: { flexGrow: 1, flexShrink: 1, flexBasis: 180, minWidth: 0 },
  labels: { marginTop: 6, minHeight: 50 },
  screen: { flex: 1, minHeight: 0 },
  list: { width: '100%', maxWidth: 1180, alignSelf: 'center', paddingHorizontal: 16 },
  head: { paddingVertical: 16, gap: 8 },
  columns: { gap: 32 },
  row: {
    flex: 1,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 12,
    borderBottomWidth: 1,
    paddingVertical: 10,
    minHeight: 56,
  },
  words: { flex: 1, minWidth: 0 },
  bin: { textAlign: 'right' },
});

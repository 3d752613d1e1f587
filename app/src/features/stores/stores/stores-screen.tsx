import { useMemo, useState, type ReactElement } from 'react';
import { FlatList, StyleSheet, View } from 'react-native';
import { byId, formatMoney } from '@oilcan/core/kernel';
import { hasRole } from '@oilcan/core/operations';
import { isLow, partCost, type Part, type StockLevel, wantsCount } from '@oilcan/core/stores/stock';
import { useRow, useSettings, useTable, usePhone } from '../../../data/store/store';
import { FactKey } from '../../../ui/layout/fact';
import { FindField } from '../../../ui/fields/find-field';
import { FilterChip } from '../../../ui/fields/filter-chips';
import { LinkPress } from '../../../ui/press/link-press';
import { Button } from '../../../ui/press/press';
import { useIsWide } from '../../../ui/theme/theme';
import { usePalette } from '../../../ui/theme/use-palette';
import { LabelSheetForm } from '../../past/paper';
import { AppText } from '../../../ui/theme/app-text';
import { counted } from '../../../words/work-words';
import { TopBar } from '../../frame/page/top-bar';
import { onSite, useSite } from '../../frame/page/use-site';
import { useStockOf, useUnitPrices } from '../../../data/queries/stock';
import { amountOf } from '../../../words/amounts';
import { binLabels } from './bin-labels';
import { findParts, partsInBin, partsOf } from '../choose-part';
import { BinSheet } from './bin-sheet';
import { StoreWays } from './store-ways';
import { StoresTable } from './stores-table';
import { mdiPrinterOutline } from '@mdi/js';
import { asList } from '../../../ui/layout/list';

const asRows = asList('Parts');

const byNumber = (parts: readonly Part[]): Part[] => [...parts].sort((a, b) => (a.number < b.number ? -1 : 1));

/** What lies in which bin; of the site that is looked at. */
export function StoresScreen({ given = '' }: { readonly given?: string }): ReactElement {
  const site = useSite();
  const parts = useTable('parts');
  const allStock = useTable('stock');
  const allBins = useTable('bins');
  const stores = useTable('stores');
  const bins = useMemo(() => onSite(allBins, site), [allBins, site]);
  const binIds = useMemo(() => new Set<string>(bins.map(({ id }) => id)), [bins]);
  const stock = useMemo(() => allStock.filter(({ binId }) => binIds.has(binId)), [allStock, binIds]);
  const [isPrinting, setIsPrinting] = useState(false);
  const isWide = useIsWide();
  const [find, setFind] = useState(given);
  const low = useMemo(() => stock.filter(isLow), [stock]);
  const [isLowWanted, setIsLowWanted] = useState(false);
  const isLowOnly = isLowWanted && low.length > 0;
  const shown = useMemo(() => {
    if (isLowOnly) return byNumber(partsOf(low, parts));
    if (find.trim() === '') return site === null ? byNumber(parts) : byNumber(partsOf(stock, parts));
    const inBin = partsInBin(find, bins, stock);
    return inBin.size > 0 ? parts.filter(({ id }) => inBin.has(id)) : findParts(parts, find);
  }, [parts, find, site, bins, stock, low, isLowOnly]);
  const binById = useMemo(() => byId(allBins), [allBins]);
  const storeById = useMemo(() => byId(stores), [stores]);
  // A part that lies in no bin of the site shows where else it lies.
  const inSight = useMemo(() => {
    const here = new Set(stock.map(({ partId }) => partId));
    return [...stock, ...allStock.filter(({ partId, binId }) => !here.has(partId) && !binIds.has(binId))];
  }, [stock, allStock, binIds]);
  const typeFind = (text: string): void => {
    setFind(text);
    setIsLowWanted(false);
  };
  const top = (save: (() => void) | null): ReactElement => (
    <View style={[sheet.head, isWide && sheet.beside]}>
      <AppText as="title" level={2}>
        {bins.length === 0
          ? 'No bins on this site'
          : low.length === 0
            ? 'No bin is low'
            : `${counted(low.length, 'bin is', 'bins are')} low`}
      </AppText>
      <View style={sheet.find}>
        <View style={sheet.field}>
          <FindField label="Find a part or a bin" value={find} onChange={typeFind} />
        </View>
        <Button
          word="Labels"
          icon={mdiPrinterOutline}
          label="Labels for these bins"
          style={sheet.action}
          onPress={() => setIsPrinting(true)}
        />
        {save === null ? null : (
          <Button
            word="Save as CSV"
            cannot={shown.length === 0 && 'No part is shown that could be saved.'}
            style={sheet.action}
            onPress={save}
          />
        )}
      </View>
      <StoreWays />
      {low.length === 0 ? null : (
        <View style={sheet.low}>
          <FilterChip word="Only what is low" isOn={isLowOnly} onPress={() => setIsLowWanted(!isLowOnly)} />
        </View>
      )}
    </View>
  );
  const empty = (
    <AppText style={sheet.head}>
      {find.trim() === '' ? 'Find a part to see on which site it lies.' : `No part fits “${find.trim()}”.`}
    </AppText>
  );
  return (
    <View style={sheet.screen}>
      <TopBar title="Stores" />
      {isWide ? (
        <StoresTable parts={shown} stock={inSight} bins={binById} stores={storeById} top={top} empty={empty} />
      ) : (
        <FlatList
          role="main"
          {...asRows}
          data={shown}
          keyExtractor={(part) => part.id}
          initialNumToRender={12}
          contentContainerStyle={sheet.list}
          ListHeaderComponent={top(null)}
          ListEmptyComponent={empty}
          renderItem={({ item }) => <PartRow part={item} binIds={binIds} />}
        />
      )}
      {isPrinting ? (
        <LabelSheetForm
          labels={binLabels(shown, { stock, bins, stores })}
          name="labels-bins"
          onClose={() => setIsPrinting(false)}
        />
      ) : null}
    </View>
  );
}

interface PartRowProps {
  readonly part: Part;
  /** Of the site that is looked at; a part that lies in none of them shows where else it lies. */
  readonly binIds: ReadonlySet<string>;
}

function PartRow({ part, binIds }: PartRowProps): ReactElement {
  const palette = usePalette();
  const settings = useSettings();
  const everywhere = useStockOf(part.id);
  const here = everywhere.filter(({ binId }) => binIds.has(binId));
  const stock = here.length > 0 ? here : everywhere;
  const unitPrice = useUnitPrices()(part, stock[0]?.siteId);
  return (
    <View style={[sheet.row, { borderColor: palette.line }]} testID={`part-${part.number}`}>
      <LinkPress href={`/stores/part/${part.id}`} style={sheet.words}>
        <AppText>{part.name}</AppText>
        <AppText as="small" soft>
          {part.number}
          {settings === undefined || unitPrice === undefined
            ? ''
            : ` · ${formatMoney(partCost(1_000, unitPrice), settings.language)} per ${part.unit}`}
          {part.isObsolete ? ' · no longer bought' : ''}
        </AppText>
      </LinkPress>
      <View>
        {stock.map((level) => (
          <BinLine
            key={level.binId}
            level={level}
            part={part}
            amount={amountOf(level.onHand, part)}
            isElsewhere={here.length === 0}
          />
        ))}
      </View>
    </View>
  );
}

interface BinLineProps {
  readonly part: Part;
  readonly level: StockLevel;
  readonly amount: string;
  readonly isElsewhere: boolean;
}

/** How much lies in a bin; who keeps the store counts it there, or says what came in. */
function BinLine({ part, level, amount, isElsewhere }: BinLineProps): ReactElement {
  const bin = useRow('bins', level.binId);
  const store = useRow('stores', bin?.storeId);
  const keepsStore = usePhone(({ person }) => person !== null && hasRole(person, ['storekeeper', 'lead']));
  const [isOpen, setIsOpen] = useState(false);
  const words = (
    <AppText as="label" style={sheet.bin}>
      {amount} in {isElsewhere ? `${store?.name ?? ''} ` : ''}
      {bin?.label}
      {wantsCount(level) ? ', count it' : isLow(level) ? ', low' : ''}
    </AppText>
  );
  if (!keepsStore || bin === undefined) return words;
  return (
    <>
      <FactKey
        onPress={() => setIsOpen(true)}
        label={`${amount} in ${bin.label}: count ${part.name}, or say what came in`}
      >
        {words}
      </FactKey>
      {isOpen ? <BinSheet part={part} level={level} onClose={() => setIsOpen(false)} /> : null}
    </>
  );
}

const sheet = StyleSheet.create({
  find: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  action: { marginTop: 6, minHeight: 50 },
  field: { flexGrow: 1, flexShrink: 1, flexBasis: 180, minWidth: 0 },
  screen: { flex: 1, minHeight: 0 },
  list: { paddingHorizontal: 16 },
  head: { paddingVertical: 16, gap: 8 },
  beside: { paddingHorizontal: 16, maxWidth: 720 },
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
  low: { alignItems: 'flex-start' },
});

import { Fragment, useMemo, useState, type ReactElement } from 'react';
import { ScrollView, SectionList, StyleSheet, View } from 'react-native';
import { hasRole } from '@oilcan/core/operations';
import { askedBy, needGroup, toPickUp, type NeedGroup, type StoreLine } from '@oilcan/core/stores/issue';
import type { StoreRequest } from '@oilcan/core/stores/requests';
import { inTransit, type Transfer } from '@oilcan/core/stores/transfers';
import { peekRow, usePhone, useRow, useSettings, useTable } from '../../../data/store/store';
import { useNow } from '../../../data/store/use-now';
import { FilterChip } from '../../../ui/fields/filter-chips';
import { asList } from '../../../ui/layout/list';
import { Section as SectionOf } from '../../../ui/layout/section';
import { lazyComponent } from '../../../ui/loading/lazy-component';
import { Button } from '../../../ui/press/press';
import { RULE, useIsWide } from '../../../ui/theme/theme';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { amountOf } from '../../../words/amounts';
import { joined } from '../../../words/joined';
import { counted } from '../../../words/work-words';
import { TopBar } from '../../frame/page/top-bar';
import { useBack } from '../../frame/page/use-back';
import { onSite, useSite } from '../../frame/page/use-site';
import { TransferRow } from '../transfers';
import { AskSheet, neededWords, RequestRow } from '../requests';
import { useStoreLines } from './use-store-lines';

const HandOutSheet = lazyComponent(() => import('./hand-out-sheet').then((module) => module.HandOutSheet));

const asRows = asList('Asked of the store');

const groupWords: Readonly<Record<NeedGroup, string>> = {
  now: 'Needed now',
  soon: 'Needed in this shift',
  later: 'Needed later',
  whenever: 'Whenever',
};

type Line =
  | { readonly is: 'give'; readonly line: StoreLine }
  | { readonly is: 'row'; readonly request: StoreRequest }
  | { readonly is: 'transfer'; readonly transfer: Transfer };

const keyOf = (line: Line): string =>
  line.is === 'give' ? line.line.request.id : line.is === 'row' ? line.request.id : line.transfer.id;

interface Section {
  readonly title: string;
  readonly data: readonly Line[];
}

/** What is asked of the stores: for whoever hands out in the order of the walk, for everybody what they asked for themselves. */
export function AskedScreen(): ReactElement {
  const back = useBack('/stores');
  const palette = usePalette();
  const person = usePhone((state) => state.person);
  const keeps = person !== null && hasRole(person, ['storekeeper', 'lead']);
  const [isMine, setIsMine] = useState(false);
  const [giving, setGiving] = useState<StoreRequest | null>(null);
  const [isAsking, setIsAsking] = useState(false);
  const lines = useStoreLines();
  const site = useSite();
  const all = useTable('requests');
  const requests = useMemo(() => onSite(all, site), [all, site]);
  const mine = useMemo(() => askedBy(requests, person?.id ?? ''), [requests, person?.id]);
  const ready = useMemo(() => toPickUp(requests), [requests]);
  const isStore = keeps && !isMine;
  const isWide = useIsWide();
  const travelling = useTransfers();
  const beside = isStore ? sectionsBeside(ready, travelling) : [];
  const sections = isStore ? [...sectionsOfStore(lines), ...(isWide ? [] : beside)] : sectionsOfMine(mine);
  const draw = (line: Line): ReactElement => {
    if (line.is === 'give') return <GiveRow line={line.line} onGive={() => setGiving(line.line.request)} />;
    return line.is === 'row' ? <NumberedRow request={line.request} /> : <TransferRow transfer={line.transfer} />;
  };
  const urgent = lines.filter(({ group }) => group === 'now').length;
  const headline = isStore
    ? lines.length === 0
      ? 'Nothing is asked for'
      : `${counted(lines.length, 'part is', 'parts are')} asked for${urgent === 0 ? '' : `, ${urgent} needed now`}`
    : mine.length === 0
      ? 'You asked for nothing'
      : `You asked for ${counted(mine.length, 'part', 'parts')}`;
  const short = lines.filter(({ remains, request }) => remains < 0 && request.partId !== null).length;
  return (
    <View style={sheet.screen}>
      <TopBar title="Asked of the store" {...back} />
      <View style={sheet.columns}>
        <SectionList
          role="main"
          {...asRows}
          sections={sections as Section[]}
          keyExtractor={keyOf}
          stickySectionHeadersEnabled={false}
          contentContainerStyle={sheet.list}
          initialNumToRender={14}
          ListHeaderComponent={
            <View style={sheet.head}>
              <AppText as="title" level={2}>
                {headline}
              </AppText>
              {isStore && short > 0 ? (
                <AppText soft>{counted(short, 'of them asks', 'of them ask')} for more than there is.</AppText>
              ) : null}
              {keeps ? (
                <View style={sheet.keys}>
                  <FilterChip word="What I asked for" isOn={isMine} onPress={() => setIsMine(!isMine)} />
                </View>
              ) : null}
              {isStore ? null : (
                <View style={sheet.keys}>
                  <Button rank="primary" word="Ask for something" onPress={() => setIsAsking(true)} />
                </View>
              )}
            </View>
          }
          ListEmptyComponent={
            <AppText soft>
              {isStore
                ? 'What technicians ask for appears here the moment they do.'
                : 'Ask from a job, or here for what no job needs.'}
            </AppText>
          }
          renderSectionHeader={({ section }) => (
            <View style={sheet.section}>
              <AppText as="heading" level={3}>
                {section.title}
              </AppText>
            </View>
          )}
          renderItem={({ item }) => draw(item)}
        />
        {isWide && isStore ? (
          <ScrollView style={[sheet.beside, { borderColor: palette.line }]} contentContainerStyle={sheet.besideContent}>
            {beside.length === 0 ? <AppText soft>Nothing lies ready, and nothing is on the way.</AppText> : null}
            {beside.map(({ title, data }) => (
              <SectionOf key={title} title={title}>
                {data.map((line) => (
                  <Fragment key={keyOf(line)}>{draw(line)}</Fragment>
                ))}
              </SectionOf>
            ))}
          </ScrollView>
        ) : null}
      </View>
      {giving === null ? null : <HandOutSheet request={giving} onClose={() => setGiving(null)} />}
      {isAsking ? <AskSheet work={null} onClose={() => setIsAsking(false)} /> : null}
    </View>
  );
}

/** What is asked of the other stores, and what is on the way between them. */
function useTransfers(): readonly Transfer[] {
  const all = useTable('transfers');
  return useMemo(
    () => all.filter(({ endedAt }) => endedAt === null).sort((a, b) => (a.askedAt < b.askedAt ? -1 : 1)),
    [all],
  );
}

function sectionsOfStore(lines: readonly StoreLine[]): Section[] {
  const groups = (Object.keys(groupWords) as NeedGroup[]).map((group) => ({
    title: groupWords[group],
    data: lines.filter((line) => line.group === group).map((line): Line => ({ is: 'give', line })),
  }));
  return groups.filter(({ data }) => data.length > 0);
}

function sectionsBeside(ready: readonly StoreRequest[], transfers: readonly Transfer[]): Section[] {
  const rowsOf = (some: readonly Transfer[]) => some.map((transfer): Line => ({ is: 'transfer', transfer }));
  return [
    { title: 'Ready or with somebody', data: ready.map((request): Line => ({ is: 'row', request })) },
    { title: 'On the way between stores', data: rowsOf(transfers.filter(({ sent }) => sent !== null)) },
    { title: 'Asked by another store', data: rowsOf(transfers.filter(({ sent }) => sent === null)) },
  ].filter(({ data }) => data.length > 0);
}

function sectionsOfMine(mine: readonly StoreRequest[]): Section[] {
  const open = mine.filter(({ endedAt }) => endedAt === null);
  const over = mine.filter(({ endedAt }) => endedAt !== null);
  const rowsOf = (some: readonly StoreRequest[]) => some.map((request): Line => ({ is: 'row', request }));
  return [
    { title: 'Open', data: rowsOf(open) },
    { title: 'Done', data: rowsOf(over) },
  ].filter(({ data }) => data.length > 0);
}

function NumberedRow({ request }: { readonly request: StoreRequest }): ReactElement {
  const work = useRow('workOrders', request.workOrderId ?? undefined);
  return <RequestRow request={request} number={work?.number ?? 'No job'} />;
}

function GiveRow({ line, onGive }: { readonly line: StoreLine; readonly onGive: () => void }): ReactElement {
  const palette = usePalette();
  const isWide = useIsWide();
  const { request, open, onHand, askedByOthers, remains } = line;
  const now = useNow(60);
  const settings = useSettings(request.siteId);
  const part = useRow('parts', request.partId ?? undefined);
  const bin = useRow('bins', line.binId ?? undefined);
  const work = useRow('workOrders', request.workOrderId ?? undefined);
  const asset = useRow('assets', work?.assetId);
  const person = useRow('people', request.askedBy);
  const coming = useTable('transfers').filter(({ requestId, endedAt }) => requestId === request.id && endedAt === null);
  const name = part?.name ?? request.words;
  const needed = neededWords(request.neededBy, now, settings?.zone ?? 'UTC', settings?.language ?? 'en');
  const isShort = part !== undefined && remains < 0;
  const isUrgent = needGroup(request, now) === 'now';
  const stockWords =
    part === undefined
      ? 'In words only: find out which part it is'
      : joined([
          bin === undefined ? 'In no bin here' : `Bin ${bin.label}: ${amountOf(onHand, part)}`,
          askedByOthers > 0 ? `others ask for ${amountOf(askedByOthers, part)}` : '',
          remains < 0 ? `${amountOf(-remains, part)} short` : `${amountOf(remains, part)} remain`,
        ]);
  return (
    <View style={[sheet.row, { borderColor: palette.line }]} testID={`asked-${part?.number ?? 'words'}`}>
      <View style={sheet.words}>
        <AppText as={isUrgent ? 'row' : 'text'}>
          {amountOf(open, request)} {name}
        </AppText>
        <AppText as={isShort ? 'label' : 'small'} {...(isShort ? {} : { soft: true })}>
          {stockWords}
        </AppText>
        <AppText as="small" soft>
          {joined([
            `${person?.name ?? ''} ${needed}`,
            work === undefined ? 'no job' : `${work.number} ${asset?.name ?? ''}`,
            request.bringTo === '' ? '' : `bring it to ${request.bringTo}`,
          ])}
        </AppText>
        {coming.map((transfer) => (
          <AppText key={transfer.id} as="small">
            {amountOf(transfer.sent === null ? transfer.quantity : inTransit(transfer), part)}{' '}
            {transfer.sent === null ? 'asked for from' : 'on the way from'}{' '}
            {peekRow('stores', transfer.fromStoreId)?.name ?? 'another store'}
          </AppText>
        ))}
        {request.words !== '' && part !== undefined ? <AppText as="small">“{request.words}”</AppText> : null}
      </View>
      <Button
        word="Hand out"
        label={`Hand out ${amountOf(open, request)} ${name}`}
        style={isWide ? {} : sheet.key}
        onPress={onGive}
      />
    </View>
  );
}

const sheet = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  columns: { flex: 1, minHeight: 0, flexDirection: 'row' },
  beside: { flexGrow: 0, flexShrink: 0, flexBasis: 400, borderLeftWidth: RULE },
  besideContent: { paddingHorizontal: 16, paddingBottom: 24 },
  list: { paddingHorizontal: 16, paddingBottom: 24, width: '100%', maxWidth: 860 },
  head: { paddingVertical: 16, gap: 10 },
  keys: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  section: { paddingTop: 14, paddingBottom: 2 },
  row: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    gap: 8,
    borderBottomWidth: 1,
    paddingVertical: 10,
  },
  words: { flexGrow: 1, flexShrink: 1, flexBasis: 200, minWidth: 0 },
  key: { minWidth: 112 },
});

import { useEffect, useMemo, useState, type ReactElement } from 'react';
import { FlatList, ScrollView, StyleSheet, View } from 'react-native';
import { asId, type BinId, type PartId, type Thousandths, type WorkOrderId } from '@oilcan/core/kernel';
import { isOpen, type WorkOrder } from '@oilcan/core/orders/work';
import { kitNeeds, takenOf, type Part } from '@oilcan/core/stores/stock';
import { useStockOf } from '../../../data/queries/stock';
import { lookUpWork, peekRow, usePhone, useRow, useRows, useTable } from '../../../data/store/store';
import { performOrSay } from '../../../data/store/use-operation';
import { Field } from '../../../ui/fields/field';
import { FindField } from '../../../ui/fields/find-field';
import { asList } from '../../../ui/layout/list';
import { Row, Section } from '../../../ui/layout/section';
import { Button, Press } from '../../../ui/press/press';
import { useNotice } from '../../../ui/state/use-notice';
import { RULE, useIsWide } from '../../../ui/theme/theme';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { amountOf } from '../../../words/amounts';
import { joined } from '../../../words/joined';
import { TopBar } from '../../frame/page/top-bar';
import { useBack } from '../../frame/page/use-back';
import { onSite, useSite } from '../../frame/page/use-site';
import { JobRequests } from '../requests';
import { findParts, PartChoice } from '../choose-part';

const asRows = asList('Open jobs');
const SHOWN_PARTS = 5;

/** Somebody stands at the counter: the job is found by its number, its words or whoever has it, and gets what it lacks. */
export function CounterScreen({ work: given }: { readonly work?: string | undefined }): ReactElement {
  const back = useBack('/stores');
  const isWide = useIsWide();
  const palette = usePalette();
  const [find, setFind] = useState('');
  const [chosen, setChosen] = useState<string | null>(given ?? null);
  const jobs = useJobs(find);
  const work = useRow('workOrders', asId<WorkOrderId>(chosen ?? ''));
  const list = (
    <FlatList
      role={isWide || work === undefined ? 'main' : undefined}
      {...asRows}
      data={jobs}
      keyExtractor={({ id }) => id}
      initialNumToRender={14}
      contentContainerStyle={sheet.list}
      ListHeaderComponent={
        <View style={sheet.head}>
          <AppText as="title" level={2}>
            For which job?
          </AppText>
          <FindField label="Number, what it is about, or who has it" value={find} onChange={setFind} />
        </View>
      }
      ListEmptyComponent={<AppText soft>No open job fits “{find.trim()}”.</AppText>}
      renderItem={({ item }) => <JobRow work={item} isChosen={item.id === chosen} onPress={() => setChosen(item.id)} />}
    />
  );
  return (
    <View style={sheet.screen}>
      <TopBar
        title="At the counter"
        {...(work !== undefined && !isWide ? { onBack: () => setChosen(null), backTo: 'the jobs' } : back)}
      />
      <View style={sheet.columns}>
        {isWide || work === undefined ? list : null}
        {work === undefined ? null : (
          <ScrollView
            {...(isWide ? {} : { role: 'main' as const })}
            style={[isWide && [sheet.beside, { borderColor: palette.line }]]}
            contentContainerStyle={sheet.job}
          >
            <JobAtCounter key={work.id} work={work} />
          </ScrollView>
        )}
      </View>
    </View>
  );
}

/** The open jobs of the site whose number, title, machine or people hold every word. */
function useJobs(find: string): readonly WorkOrder[] {
  const site = useSite();
  const works = useTable('workOrders');
  return useMemo(() => {
    const words = find.trim().toLowerCase().split(/\s+/).filter(Boolean);
    const textOf = ({ number, title, assetId, personIds }: WorkOrder): string =>
      [
        number,
        title,
        peekRow('assets', assetId)?.name ?? '',
        ...personIds.map((id) => peekRow('people', id)?.name ?? ''),
      ]
        .join(' ')
        .toLowerCase();
    return onSite(works, site)
      .filter((work) => isOpen(work.state))
      .filter((work) => words.every((word) => textOf(work).includes(word)))
      .sort(
        (a, b) => Number(b.state === 'underway') - Number(a.state === 'underway') || (a.number < b.number ? -1 : 1),
      );
  }, [works, site, find]);
}

interface JobRowProps {
  readonly work: WorkOrder;
  readonly isChosen: boolean;
  readonly onPress: () => void;
}

function JobRow({ work, isChosen, onPress }: JobRowProps): ReactElement {
  const palette = usePalette();
  const asset = useRow('assets', work.assetId);
  const people = work.personIds.map((id) => peekRow('people', id)?.name ?? '').join(', ');
  return (
    <Press
      onPress={onPress}
      label={`${work.number} ${work.title}`}
      style={[sheet.row, { borderColor: palette.line }, isChosen && { backgroundColor: palette.chosen }]}
    >
      <AppText>{work.title}</AppText>
      <AppText as="small" soft>
        {joined([work.number, asset?.name ?? '', people])}
      </AppText>
    </Press>
  );
}

/** What the job needs, has taken and still lacks: given and taken back with one press each. */
function JobAtCounter({ work }: { readonly work: WorkOrder }): ReactElement {
  const entries = useRows('entries', 'workOrder', work.id);
  const heardAt = usePhone((state) => state.heardAt);
  const [isHere, setIsHere] = useState<boolean | null>(null);
  useEffect(() => {
    // Again with everything that was heard since: this phone does not carry the records of others' jobs.
    let isGone = false;
    void lookUpWork(work.id).then((found) => {
      if (!isGone) setIsHere(found);
    });
    return () => {
      isGone = true;
    };
  }, [work.id, heardAt]);
  const needed = useMemo(() => neededOf(work, (id) => takenOf(entries, id)?.quantity ?? 0), [work, entries]);
  const taken = useMemo(() => {
    const ids = new Set(entries.flatMap(({ content }) => (content.kind === 'part' ? [content.partId] : [])));
    return [...ids].filter((id) => !needed.some(({ partId }) => partId === id));
  }, [entries, needed]);
  const people = work.personIds.map((id) => peekRow('people', id)?.name ?? '').join(', ');
  return (
    <>
      <AppText as="title" level={2}>
        {work.title}
      </AppText>
      <AppText soft>{joined([work.number, people])}</AppText>
      {isHere === false && entries.length === 0 ? (
        <AppText soft>What it has taken is not on this phone, and there is no signal: what it needs is shown.</AppText>
      ) : null}
      <Section title="Needs" aside={String(needed.length)}>
        {needed.length === 0 ? <AppText soft>No parts are planned for it.</AppText> : null}
        {needed.map((need) => (
          <GiveLine key={need.partId} work={work} {...need} />
        ))}
      </Section>
      {taken.length === 0 ? null : (
        <Section title="Also taken">
          {taken.map((partId) => (
            <GiveLine
              key={partId}
              work={work}
              partId={partId}
              needed={0}
              taken={takenOf(entries, partId)?.quantity ?? 0}
              lacks={0}
            />
          ))}
        </Section>
      )}
      <JobRequests work={work} />
      <AnotherPart work={work} />
    </>
  );
}

interface Needed {
  readonly partId: PartId;
  readonly needed: Thousandths;
  readonly taken: Thousandths;
  readonly lacks: Thousandths;
}

function neededOf(work: WorkOrder, takenOn: (id: PartId) => Thousandths): readonly Needed[] {
  const ids = [...new Set(work.kit.map(({ partId }) => partId))];
  return ids.map((partId) => {
    const lines = work.kit.filter((line) => line.partId === partId);
    const needs = kitNeeds(lines, takenOn, (id) => peekRow('parts', id));
    const sum = (of: (need: (typeof needs)[number]) => number): number =>
      needs.reduce((all, need) => all + of(need), 0);
    return {
      partId,
      needed: sum(({ quantity }) => quantity),
      taken: takenOn(partId),
      lacks: sum(({ left }) => left ?? 0),
    };
  });
}

/** The bin of an attended store of the site with most of a part; of any where none has it. */
function useBinToGive(
  part: Part | undefined,
  work: WorkOrder,
): { readonly binId: BinId; readonly onHand: Thousandths } | null {
  const levels = useStockOf(part?.id, work.siteId);
  const attended = levels.find(({ binId }) => {
    const store = peekRow('stores', peekRow('bins', binId)?.storeId ?? '');
    return store?.isAttended === true && store.siteId === work.siteId;
  });
  const level = attended ?? levels[0];
  return level === undefined ? null : { binId: level.binId, onHand: level.onHand };
}

function GiveLine({ work, partId, needed, taken, lacks }: Needed & { readonly work: WorkOrder }): ReactElement | null {
  const part = useRow('parts', partId);
  const from = useBinToGive(part, work);
  const bin = useRow('bins', from?.binId);
  const say = useNotice((state) => state.say);
  if (part === undefined) return null;
  const give = async (quantity: Thousandths): Promise<void> => {
    if (from === null) return;
    const args = { workOrderId: work.id, partId, binId: from.binId, quantity, to: work.personIds[0] ?? null };
    if (await performOrSay('part.hand-out', args)) say(`${amountOf(quantity, part)} ${part.name} for ${work.number}.`);
  };
  const takeBack = async (): Promise<void> => {
    if (from === null) return;
    const args = { workOrderId: work.id, partId, binId: from.binId, quantity: taken };
    if (await performOrSay('part.return', args))
      say(`${amountOf(taken, part)} ${part.name} back in ${bin?.label ?? ''}.`);
  };
  return (
    <Row wraps>
      <View style={sheet.words}>
        <AppText>{part.name}</AppText>
        <AppText as="small" soft>
          {joined([
            needed === 0 ? 'not planned' : `needs ${amountOf(needed, part)}`,
            taken > 0 ? `has ${amountOf(taken, part)}` : '',
            lacks > 0 ? `lacks ${amountOf(lacks, part)}` : '',
            from === null ? 'in no bin' : `bin ${bin?.label ?? ''}: ${amountOf(from.onHand, part)}`,
          ])}
        </AppText>
      </View>
      <View style={sheet.keys}>
        {lacks > 0 && from !== null ? (
          <Button
            word={`Hand out ${amountOf(lacks, part)}`}
            label={`Hand out ${amountOf(lacks, part)} ${part.name}`}
            onPress={() => void give(lacks)}
          />
        ) : null}
        {taken > 0 && from !== null ? (
          <Button
            rank="quiet"
            word={`${amountOf(taken, part)} back`}
            label={`Take ${amountOf(taken, part)} back of ${part.name}`}
            onPress={() => void takeBack()}
          />
        ) : null}
      </View>
    </Row>
  );
}

/** What the job had not planned: found by number or name, one of it with a press. */
function AnotherPart({ work }: { readonly work: WorkOrder }): ReactElement {
  const parts = useTable('parts');
  const [find, setFind] = useState('');
  const [chosen, setChosen] = useState<Part | null>(null);
  const found = useMemo(() => findParts(parts, find).slice(0, SHOWN_PARTS), [parts, find]);
  return (
    <Section title="Another part">
      <Field label="Number or name" isFind value={find} onChange={setFind} />
      {found.map((part) => (
        <PartChoice
          key={part.id}
          part={part}
          onPress={() => {
            setChosen(part);
            setFind('');
          }}
        />
      ))}
      {chosen === null ? null : (
        <GiveLine work={work} partId={chosen.id} needed={0} taken={0} lacks={chosen.isWhole ? 1_000 : 0} />
      )}
    </Section>
  );
}

const sheet = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  columns: { flex: 1, minHeight: 0, flexDirection: 'row' },
  list: { paddingHorizontal: 16, paddingBottom: 24, width: '100%', maxWidth: 720 },
  head: { paddingVertical: 16, gap: 10 },
  row: { borderBottomWidth: 1, paddingVertical: 8 },
  beside: { flex: 1, minWidth: 0, borderLeftWidth: RULE },
  job: { padding: 16, paddingBottom: 32, gap: 6, width: '100%', maxWidth: 720 },
  words: { flexGrow: 1, flexShrink: 1, flexBasis: 180, minWidth: 0 },
  keys: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8 },
});

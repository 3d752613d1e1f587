import { useMemo, useState, type ReactElement } from 'react';
import { SectionList, StyleSheet, View } from 'react-native';
import { byId, formatQuantity, type PartId, type Thousandths, type WorkOrderId } from '@oilcan/core/kernel';
import { kitListParts, neededWithin, type KitListPart, type NeedSpan } from '@oilcan/core/stores/kit-list';
import { usedIn } from '@oilcan/core/stores/stock';
import { peekRow, peekRows, useRow, useSettings, useTable } from '../../../data/store/store';
import { useNow } from '../../../data/store/use-now';
import { Segments } from '../../../ui/fields/segments';
import { asList } from '../../../ui/layout/list';
import { LinkPress } from '../../../ui/press/link-press';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { joined } from '../../../words/joined';
import { counted } from '../../../words/work-words';
import { TopBar } from '../../frame/page/top-bar';
import { useBack } from '../../frame/page/use-back';
import { onSite, useSite } from '../../frame/page/use-site';

const asRows = asList('Parts that work needs');

const spans: readonly (readonly [NeedSpan, string])[] = [
  ['today', 'Today'],
  ['tomorrow', 'Tomorrow'],
  ['week', 'This week'],
];

/** What the work of some days needs, by bin in the order of the walk, what is short first. */
export function NeedsScreen(): ReactElement {
  const back = useBack('/stores');
  const [span, setSpan] = useState<NeedSpan>('today');
  const { lines, jobs } = useNeeds(span);
  const short = lines.filter((line) => line.short > 0);
  const rest = lines.filter((line) => line.short === 0);
  const sections = [
    { title: 'Short', data: short },
    { title: 'There', data: rest },
  ].filter(({ data }) => data.length > 0);
  return (
    <View style={sheet.screen}>
      <TopBar title="What work needs" {...back} />
      <SectionList
        role="main"
        {...asRows}
        sections={sections}
        keyExtractor={({ key }) => key}
        stickySectionHeadersEnabled={false}
        contentContainerStyle={sheet.list}
        initialNumToRender={14}
        ListHeaderComponent={
          <View style={sheet.head}>
            <AppText as="title" level={2}>
              {lines.length === 0
                ? 'Nothing is needed'
                : `${counted(jobs, 'job needs', 'jobs need')} ${counted(lines.length, 'part', 'parts')}, ${short.length === 0 ? 'none short' : `${short.length} short`}`}
            </AppText>
            <Segments label="Of which days" value={span} choices={spans} onChoose={setSpan} />
            <AppText soft>
              By their plans, less what was handed out to them. What a job took from a bin itself counts where this
              phone carries its record.
            </AppText>
          </View>
        }
        renderSectionHeader={({ section }) => (
          <View style={sheet.section}>
            <AppText as="heading" level={3}>
              {section.title}
            </AppText>
          </View>
        )}
        renderItem={({ item }) => <NeedRow line={item} />}
      />
    </View>
  );
}

/** The lines, and of how many jobs they are. */
function useNeeds(span: NeedSpan): { readonly lines: readonly KitListPart[]; readonly jobs: number } {
  const site = useSite();
  const settings = useSettings();
  const now = useNow(60);
  const all = useTable('workOrders');
  const parts = useTable('parts');
  const bins = useTable('bins');
  const stores = useTable('stores');
  const levels = useTable('stock');
  const requests = useTable('requests');
  const entries = useTable('entries');
  return useMemo(() => {
    const works = neededWithin(onSite(all, site), span, now, settings?.zone ?? 'UTC');
    const given = new Map<string, Thousandths>();
    for (const { workOrderId, handouts } of requests)
      for (const { partId, quantity, returned } of handouts) {
        const key = `${workOrderId ?? ''}@${partId}`;
        given.set(key, (given.get(key) ?? 0) + quantity - returned);
      }
    const usedOf = (workOrderId: WorkOrderId, partId: PartId): Thousandths =>
      Math.max(
        usedIn(peekRows('entries', 'workOrder', workOrderId))(partId),
        given.get(`${workOrderId}@${partId}`) ?? 0,
      );
    const lines = kitListParts(works, { parts: byId(parts), bins: byId(bins), stores: byId(stores), levels, usedOf });
    return { lines, jobs: new Set(lines.flatMap(({ workOrderIds }) => workOrderIds)).size };
    // Entries are read through an index; the table stands for them.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [all, site, span, now, settings, parts, bins, stores, levels, requests, entries]);
}

function NeedRow({ line }: { readonly line: KitListPart }): ReactElement {
  const palette = usePalette();
  const part = useRow('parts', line.partId);
  const bin = useRow('bins', line.binId);
  const store = useRow('stores', line.storeId ?? undefined);
  const amount = (quantity: Thousandths): string => `${formatQuantity(quantity)} ${line.unit}`;
  const numbers = line.workOrderIds.map((id) => peekRow('workOrders', id)?.number ?? '').join(', ');
  const elsewhere = line.elsewhere
    .slice(0, 2)
    .map(({ binId, onHand }) => `${amount(onHand)} in bin ${peekRow('bins', binId)?.label ?? ''}`)
    .join(', ');
  return (
    <LinkPress href={`/stores/part/${line.partId}`} style={[sheet.row, { borderColor: palette.line }]}>
      <AppText>
        {amount(line.needed)} {part?.name ?? ''}
      </AppText>
      {line.short === 0 ? null : (
        <AppText as="label">
          {amount(line.short)} short{elsewhere === '' ? ', none anywhere else' : `; ${elsewhere}`}
        </AppText>
      )}
      <AppText as="small" soft>
        {joined([
          `${store?.name ?? ''}, bin ${bin?.label ?? ''}`,
          line.onHand === null ? 'planned in another unit' : `${amount(line.onHand)} there`,
          numbers,
        ])}
      </AppText>
    </LinkPress>
  );
}

const sheet = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  list: { paddingHorizontal: 16, paddingBottom: 24, width: '100%', maxWidth: 860 },
  head: { paddingVertical: 16, gap: 12 },
  section: { paddingTop: 14, paddingBottom: 2 },
  row: { borderBottomWidth: 1, paddingVertical: 8, gap: 2 },
});

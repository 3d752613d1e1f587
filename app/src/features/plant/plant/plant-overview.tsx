import { useMemo, type ReactElement } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { addDays, localDate, type Instant } from '@oilcan/core/kernel';
import type { Asset } from '@oilcan/core/plant/plant';
import type { Settings } from '@oilcan/core/orders/settings';
import { isOpen, type WorkOrder } from '@oilcan/core/orders/work';
import { now, useRow, useSettings, useTable } from '../../../data/store/store';
import { useNow } from '../../../data/store/use-now';
import { List } from '../../../ui/layout/list';
import { Section } from '../../../ui/layout/section';
import { Way } from '../../../ui/press/way';
import { AppText } from '../../../ui/theme/app-text';
import { sayDue, sayMoment } from '../../../words/dates';
import { conditionWords } from '../../../words/plant-words';
import { counted, stateOf } from '../../../words/work-words';
import { TopBar } from '../../frame/page/top-bar';
import { onSite, useSite } from '../../frame/page/use-site';

const DAYS = 7;
const MOST_SHOWN = 25;

/** Beside the tree, before a machine was chosen: what is out, and what is late or due within a week. */
export function PlantOverview(): ReactElement | null {
  const site = useSite();
  const settings = useSettings();
  const present = useNow(60);
  const allAssets = useTable('assets');
  const allWorks = useTable('workOrders');
  const assets = useMemo(() => onSite(allAssets, site), [allAssets, site]);
  const open = useMemo(() => onSite(allWorks, site).filter(({ state }) => isOpen(state)), [allWorks, site]);
  const out = useMemo(() => outFirst(assets), [assets]);
  const due = useMemo(
    () => (settings === undefined ? [] : dueSoon(open, present, settings.zone)),
    [open, present, settings],
  );
  if (settings === undefined) return null;
  return (
    <View style={sheet.screen}>
      <TopBar title="" isBeside isNamedBelow />
      <ScrollView role="main" contentContainerStyle={sheet.content}>
        <AppText as="title" level={1}>
          {counted(assets.length, 'machine', 'machines')}, {counted(open.length, 'open job', 'open jobs')}
        </AppText>
        <View style={sheet.columns}>
          <View style={sheet.column}>
            <Section title="Out, or not fully running" aside={out.length === 0 ? 'none' : String(out.length)}>
              <List label="Out, or not fully running">
                {out.slice(0, MOST_SHOWN).map((asset) => (
                  <OutRow key={asset.id} asset={asset} settings={settings} />
                ))}
              </List>
            </Section>
          </View>
          <View style={sheet.column}>
            <Section title="Late, or due within a week" aside={due.length === 0 ? 'none' : String(due.length)}>
              <List label="Late, or due within a week">
                {due.slice(0, MOST_SHOWN).map((work) => (
                  <DueRow key={work.id} work={work} present={present} settings={settings} />
                ))}
              </List>
              {due.length > MOST_SHOWN ? (
                <AppText soft>{counted(due.length - MOST_SHOWN, 'more', 'more')}.</AppText>
              ) : null}
            </Section>
          </View>
        </View>
      </ScrollView>
    </View>
  );
}

/** What stands still first, of these what is most critical, of these the longest. */
function outFirst(assets: readonly Asset[]): Asset[] {
  return assets
    .filter(({ condition }) => condition !== 'running')
    .sort(
      (a, b) =>
        Number(b.condition === 'stopped') - Number(a.condition === 'stopped') ||
        a.criticality - b.criticality ||
        (a.conditionSince < b.conditionSince ? -1 : 1),
    );
}

function dueSoon(open: readonly WorkOrder[], present: Instant, zone: string): WorkOrder[] {
  const last = addDays(localDate(present, zone), DAYS);
  return open
    .filter(({ dueAt }) => dueAt !== null && localDate(dueAt, zone) <= last)
    .sort((a, b) => ((a.dueAt ?? '') < (b.dueAt ?? '') ? -1 : 1));
}

function OutRow({ asset, settings }: { readonly asset: Asset; readonly settings: Settings }): ReactElement {
  const place = useRow('places', asset.placeId);
  const since = sayMoment(asset.conditionSince, now(), settings.zone, settings.language);
  return (
    <Way
      href={`/plant/${asset.id}`}
      title={asset.name}
      more={`${conditionWords[asset.condition]} since ${since} · ${place?.name ?? ''}`}
    />
  );
}

interface DueRowProps {
  readonly work: WorkOrder;
  readonly present: Instant;
  readonly settings: Settings;
}

function DueRow({ work, present, settings }: DueRowProps): ReactElement {
  const asset = useRow('assets', work.assetId);
  return (
    <Way
      href={`/shift/${work.id}`}
      title={work.title}
      more={`${work.number} · ${asset?.name ?? ''}${work.state === 'ready' ? '' : ` · ${stateOf(work).toLowerCase()}`}`}
      aside={work.dueAt === null ? '' : sayDue(work.dueAt, present, settings.zone, settings.language)}
    />
  );
}

const sheet = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  content: { padding: 24 },
  columns: { flexDirection: 'row', flexWrap: 'wrap', columnGap: 32 },
  column: { flexGrow: 1, flexShrink: 1, flexBasis: 320, minWidth: 0 },
});

import { useRouter } from 'expo-router';
import { lazy, useState, type ReactElement, type ReactNode } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { isOpen, levelOf, type Asset, type MeasuringPoint, type WorkOrder } from '@oilcan/core';
import { now, peekRow, usePhone, useRow, useRows, useSettings } from '../../data/store';
import { Icon } from '../../ui/icon';
import { Button, Press } from '../../ui/press';
import { useIsWide, usePalette } from '../../ui/theme';
import { useNow } from '../../ui/use-now';
import { Words } from '../../ui/words';
import { sayDue, sayMoment } from '../../words/dates';
import { counted, levelWords, stateOf } from '../../words/work-words';
import { TopBar } from '../frame/top-bar';
import { DocumentList } from '../documents/document-list';
import { assetLabel } from './asset-label';
import { isUnderWarranty, sayDate } from './dates-of-plate';
import { classWords, conditionWords } from './plant-words';
import { Piece } from '../../ui/piece';

const PastBrief = lazy(() => import('../past/past').then((module) => ({ default: module.PastBrief })));
const LabelSheetForm = lazy(() =>
  import('../paper/label-sheet-form').then((module) => ({ default: module.LabelSheetForm })),
);

/** One machine: how it is, what is open on it, what its past says, what it is measured by, made of and marked with. */
export function AssetScreen({ assetId }: { readonly assetId: string }): ReactElement {
  const router = useRouter();
  const isWide = useIsWide();
  const asset = useRow('assets', assetId);
  const hasRows = usePhone((state) => state.hasRows);
  return (
    <View style={sheet.screen}>
      <TopBar
        title={asset?.tag ?? 'Machine'}
        {...(isWide ? { isBeside: true } : { onBack: () => router.navigate('/plant'), backTo: 'Plant' })}
      />
      {asset === undefined ? (
        <View role="main" style={sheet.missing}>
          <Words live>
            {hasRows
              ? 'This machine is not on this phone: it is on a site that you do not see, or does not exist.'
              : 'Fetching the plant …'}
          </Words>
        </View>
      ) : (
        <ScrollView role="main" style={sheet.scroll} contentContainerStyle={sheet.content}>
          <Head asset={asset} />
          <View style={isWide && sheet.columns}>
            <View style={isWide && sheet.column}>
              <KnownProblems asset={asset} />
              <OpenWork asset={asset} />
              <Part title="What the past says">
                <Piece fallback={<Words soft>Reading the past …</Words>}>
                  <PastBrief key={asset.id} asset={asset} />
                </Piece>
                <Button
                  style={sheet.button}
                  word="What happened before"
                  onPress={() => router.navigate(`/plant/past/${asset.id}`)}
                />
              </Part>
            </View>
            <View style={isWide && sheet.column}>
              <Points asset={asset} />
              <Structure asset={asset} />
              <Documents asset={asset} />
              <Installed asset={asset} />
              <Nameplate asset={asset} />
              <Labels asset={asset} />
            </View>
          </View>
        </ScrollView>
      )}
    </View>
  );
}

function Head({ asset }: { readonly asset: Asset }): ReactElement {
  const palette = usePalette();
  const router = useRouter();
  const place = useRow('places', asset.placeId);
  const parent = useRow('assets', asset.parentId);
  const settings = useSettings();
  const isOut = asset.condition !== 'running';
  return (
    <View style={sheet.head}>
      <Words as="title" level={1}>
        {asset.name}
      </Words>
      <Words soft>
        {classWords(asset.equipmentClass)} · {place?.name ?? ''} · criticality {asset.criticality} of 4
      </Words>
      {parent === undefined ? null : (
        <Press role="link" onPress={() => router.navigate(`/plant/${parent.id}`)} style={sheet.link}>
          <Words>Part of {parent.name}</Words>
          <Icon name="right" color={palette.inkSoft} />
        </Press>
      )}
      <View style={[sheet.condition, { borderColor: isOut ? palette.faulty : palette.green }]}>
        <Words as="heading">
          {conditionWords[asset.condition]}
          {isOut && settings !== undefined
            ? ` since ${sayMoment(asset.conditionSince, now(), settings.zone, settings.language)}`
            : ''}
        </Words>
      </View>
    </View>
  );
}

/** A part of the page with its name. */
function Part({ title, children }: { readonly title: string; readonly children: ReactNode }): ReactElement {
  const palette = usePalette();
  return (
    <View style={sheet.part}>
      <View style={[sheet.partHead, { borderColor: palette.ink }]}>
        <Words as="heading" level={2}>
          {title}
        </Words>
      </View>
      {children}
    </View>
  );
}

/** What is wrong with it and known: open corrective work, and measuring points beyond a limit. */
function KnownProblems({ asset }: { readonly asset: Asset }): ReactElement | null {
  const works = useRows('workOrders', 'asset', asset.id).filter(
    (work) => isOpen(work.state) && work.kind === 'corrective',
  );
  const points = useRows('points', 'asset', asset.id).filter((point) => levelOfLatest(point) !== 'normal');
  if (works.length + points.length === 0) return null;
  return (
    <Part title="Known problems">
      {works.map((work) => (
        <WorkLine key={work.id} work={work} isReasonShown />
      ))}
      {points.map((point) => (
        <PointLine key={point.id} point={point} />
      ))}
    </Part>
  );
}

function OpenWork({ asset }: { readonly asset: Asset }): ReactElement {
  const works = useRows('workOrders', 'asset', asset.id).filter(
    (work) => isOpen(work.state) && work.kind !== 'corrective',
  );
  return (
    <Part title="Open work">
      {works.length === 0 ? <Words style={sheet.line}>No other work is open on it.</Words> : null}
      {works.map((work) => (
        <WorkLine key={work.id} work={work} />
      ))}
    </Part>
  );
}

function WorkLine({
  work,
  isReasonShown = false,
}: {
  readonly work: WorkOrder;
  readonly isReasonShown?: boolean;
}): ReactElement {
  const palette = usePalette();
  const router = useRouter();
  const settings = useSettings();
  const present = useNow(60);
  const due =
    work.dueAt === null || settings === undefined
      ? ''
      : ` · ${sayDue(work.dueAt, present, settings.zone, settings.language)}`;
  return (
    <Press
      role="link"
      onPress={() => router.navigate(`/shift/${work.id}`)}
      style={[sheet.line, sheet.linked, { borderColor: palette.line }]}
    >
      <View style={sheet.words}>
        <Words>{work.title}</Words>
        <Words as="small" soft>
          {work.number} · {stateOf(work)}
          {due}
        </Words>
        {isReasonShown ? <Words as="small">{work.reason}</Words> : null}
      </View>
      <Icon name="right" color={palette.inkSoft} />
    </Press>
  );
}

const levelOfLatest = (point: MeasuringPoint) => {
  const newest = point.latest.at(-1);
  return newest === undefined ? 'normal' : levelOf(newest.value, point.limits);
};

function Points({ asset }: { readonly asset: Asset }): ReactElement | null {
  const points = useRows('points', 'asset', asset.id);
  if (points.length === 0) return null;
  return (
    <Part title="Meters and measuring points">
      {points.map((point) => (
        <PointLine key={point.id} point={point} />
      ))}
    </Part>
  );
}

function PointLine({ point }: { readonly point: MeasuringPoint }): ReactElement {
  const palette = usePalette();
  const settings = useSettings();
  const newest = point.latest.at(-1);
  const first = point.latest[0];
  const level = levelOfLatest(point);
  const when =
    newest === undefined || settings === undefined
      ? 'never read'
      : sayMoment(newest.at, now(), settings.zone, settings.language);
  const change = newest === undefined || first === undefined ? 0 : newest.value - first.value;
  const course =
    point.latest.length < 2 || change === 0
      ? ''
      : ` · ${change > 0 ? 'up' : 'down'} ${Math.abs(change).toFixed(point.decimals)} over ${counted(point.latest.length, 'reading', 'readings')}`;
  return (
    <View style={[sheet.line, sheet.linked, { borderColor: palette.line }]}>
      <View style={sheet.words}>
        <Words>{point.name}</Words>
        <Words as="small" soft>
          {when}
          {course}
        </Words>
      </View>
      <View style={sheet.value}>
        <Words as="row">{newest === undefined ? '–' : `${newest.value.toFixed(point.decimals)} ${point.unit}`}</Words>
        {level === 'normal' ? null : <Words as="label">{levelWords[level]}</Words>}
      </View>
    </View>
  );
}

function Structure({ asset }: { readonly asset: Asset }): ReactElement | null {
  const palette = usePalette();
  const router = useRouter();
  const parts = useRows('assets', 'parent', asset.id);
  if (parts.length === 0) return null;
  return (
    <Part title="Made of">
      {parts.map((part) => (
        <Press
          key={part.id}
          role="link"
          onPress={() => router.navigate(`/plant/${part.id}`)}
          style={[sheet.line, sheet.linked, { borderColor: palette.line }]}
        >
          <View style={sheet.words}>
            <Words>{part.name}</Words>
            <Words as="small" soft>
              {part.tag}
              {part.condition === 'running' ? '' : ` · ${conditionWords[part.condition]}`}
            </Words>
          </View>
          <Icon name="right" color={palette.inkSoft} />
        </Press>
      ))}
    </Part>
  );
}

function Documents({ asset }: { readonly asset: Asset }): ReactElement | null {
  const documents = useRows('documents', 'asset', asset.id);
  if (documents.length === 0) return null;
  return (
    <Part title="Documents">
      <DocumentList assetId={asset.id} from={`/plant/${asset.id}`} />
    </Part>
  );
}

/** Parts with numbers of their own, and whether they are under warranty still. */
function Installed({ asset }: { readonly asset: Asset }): ReactElement | null {
  const palette = usePalette();
  const settings = useSettings();
  const installed = useRows('installations', 'asset', asset.id);
  const language = settings?.language ?? 'en';
  if (installed.length === 0) return null;
  return (
    <Part title="Parts with a serial number">
      {installed.map(({ id, partId, serial, since, warrantyUntil }) => (
        <View key={id} style={[sheet.line, sheet.linked, { borderColor: palette.line }]}>
          <View style={sheet.words}>
            <Words>{peekRow('parts', partId)?.name ?? partId}</Words>
            <Words as="small" soft>
              {serial} · in since {sayDate(since, language)}
            </Words>
            {warrantyUntil === null ? null : (
              <Words as="small" soft={!isUnderWarranty(warrantyUntil, now())}>
                {isUnderWarranty(warrantyUntil, now()) ? 'Under warranty until' : 'Warranty ended'}{' '}
                {sayDate(warrantyUntil, language)}
              </Words>
            )}
          </View>
        </View>
      ))}
    </Part>
  );
}

/** Labels for the machine and what it is made of. */
function Labels({ asset }: { readonly asset: Asset }): ReactElement {
  const parts = useRows('assets', 'parent', asset.id);
  const [isAsking, setIsAsking] = useState(false);
  return (
    <View style={sheet.part}>
      <Button
        icon="print"
        word={parts.length === 0 ? 'Print its label' : `Print labels: it and ${counted(parts.length, 'part', 'parts')}`}
        onPress={() => setIsAsking(true)}
      />
      {isAsking ? (
        <Piece>
          <LabelSheetForm
            labels={[asset, ...parts].map(assetLabel)}
            name={`labels-${asset.tag}`}
            onClose={() => setIsAsking(false)}
          />
        </Piece>
      ) : null}
    </View>
  );
}

function Nameplate({ asset }: { readonly asset: Asset }): ReactElement {
  const settings = useSettings();
  const { maker, model, serial, inServiceSince, warrantyUntil, ratings } = asset.nameplate;
  const language = settings?.language ?? 'en';
  const warranty =
    warrantyUntil === null
      ? 'none'
      : `until ${sayDate(warrantyUntil, language)}${isUnderWarranty(warrantyUntil, now()) ? '' : ', over'}`;
  const lines: readonly (readonly [string, string])[] = [
    ['Maker', maker],
    ['Model', model],
    ['Serial', serial],
    ['In service since', sayDate(inServiceSince, language)],
    ['Warranty', warranty],
    ...ratings.map(({ label, value }) => [label, value] as const),
  ];
  return (
    <Part title="Nameplate">
      {lines.map(([label, value]) => (
        <View key={label} style={sheet.plate}>
          <Words soft style={sheet.plateLabel}>
            {label}
          </Words>
          <Words style={sheet.words}>{value}</Words>
        </View>
      ))}
    </Part>
  );
}

const sheet = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  missing: { padding: 16 },
  scroll: { flex: 1, minHeight: 0 },
  content: { paddingHorizontal: 16, paddingBottom: 32 },
  columns: { flexDirection: 'row', gap: 32 },
  column: { flex: 1, minWidth: 0 },
  head: { paddingTop: 14, gap: 4 },
  link: { flexDirection: 'row', alignItems: 'center', justifyContent: 'flex-start', gap: 6 },
  condition: { borderLeftWidth: 6, paddingLeft: 12, marginTop: 6 },
  part: { paddingTop: 20 },
  partHead: { borderBottomWidth: 2, paddingBottom: 4 },
  button: { marginTop: 12 },
  line: { paddingVertical: 9 },
  linked: { flexDirection: 'row', alignItems: 'center', gap: 12, borderBottomWidth: 1 },
  words: { flex: 1, minWidth: 0 },
  value: { alignItems: 'flex-end' },
  plate: { flexDirection: 'row', gap: 12, paddingTop: 8 },
  plateLabel: { width: 140 },
});

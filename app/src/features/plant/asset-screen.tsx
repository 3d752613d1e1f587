import { useRouter } from 'expo-router';
import { useRef, useState, type ReactElement } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { hasRole } from '@oilcan/core/operations';
import type { Asset } from '@oilcan/core/plant';
import { rulesOf } from '@oilcan/core/raise-rules';
import { now, usePhone, useRow, useRows, useSettings } from '../../data/store';
import { LinkPress } from '../../ui/link-press';
import { Icon } from '../../ui/icon';
import { Button } from '../../ui/press';
import { useIsWide } from '../../ui/theme';
import { usePalette } from '../../ui/use-palette';
import { PastBrief } from '../past';
import { Picture } from '../photos';
import { LabelSheetForm } from '../paper';
import { Words } from '../../ui/words';
import { sayMoment } from '../../words/dates';
import { counted } from '../../words/work-words';
import { DangersThere } from '../hazards';
import { MarkMachine } from '../stoppages';
import { DocumentList } from '../documents';
import { TopBar } from '../page/top-bar';
import { useBack } from '../page/use-back';
import { useKeptScroll } from '../page/use-kept-scroll';
import { assetLabel } from './labels';
import { Installed, Nameplate, Structure } from './asset-make-up';
import { AssetReports } from '../reported';
import { Section } from '../../ui/section';
import { Points } from './asset-points';
import { OpenWork, WrongNow } from './asset-work';
import { BoundLabels } from './bound-labels';
import { ReportLabelList } from './report-label-list';
import { labelsToReport } from './report-labels';
import { ContactList, useContacts } from './contact-list';
import { ASSET_MISSING, classWords, conditionWords } from '../../words/plant-words';
import { mdiChevronRight, mdiPauseOctagonOutline, mdiPlayCircleOutline, mdiPrinterOutline } from '@mdi/js';
import { PageTitle } from '../page/page-title';

/** One machine: how it is, what is open on it, what its past says, what it is measured by, made of and marked with. */
export function AssetScreen({ assetId }: { readonly assetId: string }): ReactElement {
  const isWide = useIsWide();
  const back = useBack('/plant');
  const asset = useRow('assets', assetId);
  const hasRows = usePhone((state) => state.hasRows);
  return (
    <View style={sheet.screen}>
      <TopBar
        title={asset?.tag ?? 'Machine'}
        pageTitle={asset === undefined ? 'Machine' : `${asset.tag} ${asset.name}`}
        isNamedBelow={asset !== undefined}
        {...(isWide ? { isBeside: true } : back)}
      />
      {asset === undefined ? (
        <View role="main" style={sheet.missing}>
          <Words live>{hasRows ? ASSET_MISSING : 'Fetching the plant …'}</Words>
        </View>
      ) : (
        <Page key={asset.id} asset={asset} />
      )}
    </View>
  );
}

function Page({ asset }: { readonly asset: Asset }): ReactElement {
  const router = useRouter();
  const isWide = useIsWide();
  const scroller = useRef<ScrollView>(null);
  const kept = useKeptScroll(`/plant/${asset.id}`, scroller);
  return (
    <ScrollView ref={scroller} role="main" style={sheet.scroll} contentContainerStyle={sheet.content} {...kept}>
      <Head asset={asset} />
      <View style={isWide && sheet.columns}>
        <View style={isWide && sheet.column}>
          <WrongNow asset={asset} />
          <DangersThere asset={asset} />
          <OpenWork asset={asset} />
          <AssetReports asset={asset} />
          <Section title="What the past says">
            <PastBrief asset={asset} />
            <Button
              style={sheet.button}
              word="What happened before"
              onPress={() => router.navigate(`/plant/past/${asset.id}`)}
            />
          </Section>
        </View>
        <View style={isWide && sheet.column}>
          <Points asset={asset} />
          <Structure asset={asset} />
          <Documents asset={asset} />
          <Contacts asset={asset} />
          <Installed asset={asset} />
          <Nameplate asset={asset} />
          <BoundLabels asset={asset} />
          <ReportLabelList asset={asset} />
          <Labels asset={asset} />
        </View>
      </View>
    </ScrollView>
  );
}

function Head({ asset }: { readonly asset: Asset }): ReactElement {
  const palette = usePalette();
  const place = useRow('places', asset.placeId);
  const parent = useRow('assets', asset.parentId);
  const settings = useSettings();
  const isOut = asset.condition !== 'running';
  return (
    <View style={sheet.head}>
      <PageTitle>{asset.name}</PageTitle>
      <Words soft>
        {classWords(asset.equipmentClass)} · how critical: {asset.criticality} of 4 (1 most)
      </Words>
      {asset.picture === undefined ? null : (
        <View style={sheet.picture}>
          <Picture content={{ ...asset.picture, caption: asset.name }} />
        </View>
      )}
      <View style={[sheet.condition, { borderColor: isOut ? palette.faulty : palette.green }]}>
        <Words as="heading">
          {conditionWords[asset.condition]}
          {isOut && settings !== undefined
            ? ` since ${sayMoment(asset.conditionSince, now(), settings.zone, settings.language)}`
            : ''}
        </Words>
      </View>
      <MarkKey asset={asset} isOut={isOut} />
      <View style={sheet.links}>
        {place === undefined ? null : (
          <LinkPress href={`/plant?place=${place.id}`} style={sheet.link}>
            <Words style={sheet.name}>{place.name}</Words>
            <Icon path={mdiChevronRight} color={palette.inkSoft} />
          </LinkPress>
        )}
        {parent === undefined ? null : (
          <LinkPress href={`/plant/${parent.id}`} style={sheet.link}>
            <Words style={sheet.name}>Part of {parent.name}</Words>
            <Icon path={mdiChevronRight} color={palette.inkSoft} />
          </LinkPress>
        )}
      </View>
    </View>
  );
}

/** That it stands still, or that it runs again, for those who work on machines. */
function MarkKey({ asset, isOut }: { readonly asset: Asset; readonly isOut: boolean }): ReactElement | null {
  const person = usePhone((state) => state.person);
  const [isMarking, setIsMarking] = useState(false);
  if (person === null || !hasRole(person, ['technician', 'lead'])) return null;
  return (
    <View style={sheet.mark}>
      <Button
        word={isOut ? 'It runs again' : 'Mark it as out'}
        icon={isOut ? mdiPlayCircleOutline : mdiPauseOctagonOutline}
        onPress={() => setIsMarking(true)}
      />
      {isMarking ? <MarkMachine asset={asset} onClose={() => setIsMarking(false)} /> : null}
    </View>
  );
}

function Documents({ asset }: { readonly asset: Asset }): ReactElement | null {
  const documents = useRows('documents', 'asset', asset.id);
  if (documents.length === 0) return null;
  return (
    <Section title="Documents">
      <DocumentList assetId={asset.id} />
    </Section>
  );
}

function Contacts({ asset }: { readonly asset: Asset }): ReactElement | null {
  const contacts = useContacts(asset);
  if (contacts.length === 0) return null;
  return (
    <Section title="Whom to call">
      <ContactList contacts={contacts} />
    </Section>
  );
}

/** Labels for the machine and what it is made of; for a lead, who did what on it. */
function Labels({ asset }: { readonly asset: Asset }): ReactElement {
  const router = useRouter();
  const isLead = usePhone((state) => state.person !== null && hasRole(state.person, ['lead']));
  const parts = useRows('assets', 'parent', asset.id);
  const [isAsking, setIsAsking] = useState(false);
  const { takesGuests } = rulesOf(asset.siteId, useRow('raiseRules', asset.siteId));
  return (
    <View style={sheet.labels}>
      {isLead ? <Button word="Who did what" onPress={() => router.navigate(`/log?of=assets:${asset.id}`)} /> : null}
      <Button
        icon={mdiPrinterOutline}
        word={parts.length === 0 ? 'Print its label' : `Print labels: it and ${counted(parts.length, 'part', 'parts')}`}
        onPress={() => setIsAsking(true)}
      />
      {isAsking ? (
        <LabelSheetForm
          labels={[asset, ...parts].map(assetLabel)}
          toReportBy={() => labelsToReport([asset, ...parts])}
          isForReports={takesGuests}
          name={`labels-${asset.tag}`}
          onClose={() => setIsAsking(false)}
        />
      ) : null}
    </View>
  );
}

const sheet = StyleSheet.create({
  picture: { maxWidth: 420 },
  screen: { flex: 1, minHeight: 0 },
  missing: { padding: 16 },
  scroll: { flex: 1, minHeight: 0 },
  content: { paddingHorizontal: 16, paddingBottom: 32 },
  columns: { flexDirection: 'row', gap: 32 },
  column: { flex: 1, minWidth: 0 },
  head: { paddingTop: 14, gap: 4 },
  name: { flexShrink: 1, minWidth: 0 },
  links: { flexDirection: 'row', flexWrap: 'wrap', columnGap: 20 },
  link: { flexDirection: 'row', alignItems: 'center', justifyContent: 'flex-start', gap: 6, maxWidth: '100%' },
  mark: { alignItems: 'flex-start', paddingTop: 8 },
  condition: { borderLeftWidth: 6, paddingLeft: 12, marginTop: 6 },
  labels: { paddingTop: 20 },
  button: { marginTop: 12 },
});

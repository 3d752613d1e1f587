import { useRouter } from 'expo-router';
import { useDocumentsOn } from '../../../data/queries/documents-on';
import { useRef, useState, type ReactElement } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { hasRole } from '@oilcan/core/operations';
import type { Asset } from '@oilcan/core/plant/plant';
import { rulesOf } from '@oilcan/core/orders/raise-rules';
import { usePast } from '../../../data/queries/use-past';
import { now, usePhone, useRow, useRows, useSettings } from '../../../data/store/store';
import { LinkPress } from '../../../ui/press/link-press';
import { Icon } from '../../../ui/theme/icon';
import { Button } from '../../../ui/press/press';
import { TARGET, useIsWide } from '../../../ui/theme/theme';
import { usePalette } from '../../../ui/theme/use-palette';
import { LastFix, PastBrief } from '../../past/past';
import { Picture } from '../../recording/photos';
import { LabelSheetForm } from '../../past/paper';
import { More } from '../../../ui/press/more';
import { Way } from '../../../ui/press/way';
import { AppText } from '../../../ui/theme/app-text';
import { sayMoment } from '../../../words/dates';
import { counted } from '../../../words/work-words';
import { DangersThere } from '../../orders/hazards';
import { FollowAssetButton } from '../../overview/notices';
import { MarkMachine } from '../../recording/stoppages';
import { DocumentList } from '../documents';
import { TopBar } from '../../frame/page/top-bar';
import { useBack } from '../../frame/page/use-back';
import { useKeptScroll } from '../../frame/page/use-kept-scroll';
import { assetLabel } from './labels';
import { Installed, Nameplate, Structure } from './asset-make-up';
import { AssetReports } from '../../raising/reports';
import { Section } from '../../../ui/layout/section';
import { Points } from './asset-points';
import { OpenHere } from './asset-work';
import { BoundLabels } from './bound-labels';
import { ReportLabelList } from './report-label-list';
import { labelsToReport } from './report-labels';
import { ContactList, useContacts } from './contact-list';
import { ASSET_MISSING, classWords, conditionWords } from '../../../words/plant-words';
import { mdiChevronRight, mdiHistory, mdiPrinterOutline } from '@mdi/js';
import { PageTitle } from '../../frame/page/page-title';
import { joined } from '../../../words/joined';

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
          <AppText live>{hasRows ? ASSET_MISSING : 'Fetching the plant …'}</AppText>
        </View>
      ) : (
        <Page key={asset.id} asset={asset} />
      )}
    </View>
  );
}

function Page({ asset }: { readonly asset: Asset }): ReactElement {
  const isWide = useIsWide();
  const past = usePast({ scope: 'asset', id: asset.id });
  const scroller = useRef<ScrollView>(null);
  const kept = useKeptScroll(`/plant/${asset.id}`, scroller);
  return (
    <ScrollView ref={scroller} role="main" style={sheet.scroll} contentContainerStyle={sheet.content} {...kept}>
      <Head asset={asset} />
      <View style={isWide && sheet.columns}>
        <View style={isWide && sheet.column}>
          <LastFix asset={asset} past={past} />
          <OpenHere asset={asset} />
          <AssetReports asset={asset} />
          <Section title="What the past says">
            <PastBrief asset={asset} past={past} />
            <Way title="What happened before" href={`/plant/past/${asset.id}`} />
          </Section>
          <DangersThere asset={asset} />
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
      {asset.picture === undefined ? null : (
        <View style={sheet.picture}>
          <Picture content={{ ...asset.picture, caption: asset.name }} />
        </View>
      )}
      <PageTitle>{asset.name}</PageTitle>
      <AppText as="small" soft>
        {joined([
          classWords(asset.equipmentClass),
          `${asset.nameplate.maker} ${asset.nameplate.model}`.trim(),
          `how critical: ${asset.criticality} of 4 (1 most)`,
        ])}
      </AppText>
      <View
        style={[
          sheet.condition,
          {
            borderColor: palette.line,
            borderLeftColor: isOut ? palette.faulty : palette.green,
            backgroundColor: palette.card,
          },
        ]}
      >
        <AppText as="label" style={sheet.name}>
          {conditionWords[asset.condition]}
          {isOut && settings !== undefined
            ? ` since ${sayMoment(asset.conditionSince, now(), settings.zone, settings.language)}`
            : ''}
        </AppText>
        <MarkKey asset={asset} isOut={isOut} />
      </View>
      <View style={sheet.links}>
        {place === undefined ? null : (
          <LinkPress href={`/plant?place=${place.id}`} style={sheet.link}>
            <AppText as="small">{place.name}</AppText>
            <Icon path={mdiChevronRight} color={palette.inkSoft} />
          </LinkPress>
        )}
        {parent === undefined ? null : (
          <LinkPress href={`/plant/${parent.id}`} style={sheet.link}>
            <AppText as="small">Part of {parent.name}</AppText>
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
    <>
      <Button rank="quiet" word={isOut ? 'It runs again' : 'Mark it as out'} onPress={() => setIsMarking(true)} />
      {isMarking ? <MarkMachine asset={asset} onClose={() => setIsMarking(false)} /> : null}
    </>
  );
}

function Documents({ asset }: { readonly asset: Asset }): ReactElement | null {
  const documents = useDocumentsOn(asset.id);
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
    <More label="this machine">
      <FollowAssetButton asset={asset} />
      {isLead ? (
        <Button
          rank="quiet"
          icon={mdiHistory}
          word="Who did what"
          onPress={() => router.navigate(`/log?of=assets:${asset.id}`)}
        />
      ) : null}
      <Button
        rank="quiet"
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
    </More>
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
  name: { flexGrow: 1, flexShrink: 1, flexBasis: 160, minWidth: 0 },
  links: { flexDirection: 'row', flexWrap: 'wrap', columnGap: 20 },
  link: { flexDirection: 'row', alignItems: 'center', justifyContent: 'flex-start', gap: 6, maxWidth: '100%' },
  condition: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    justifyContent: 'space-between',
    columnGap: 8,
    borderWidth: 1,
    borderLeftWidth: 6,
    paddingLeft: 12,
    marginTop: 6,
    minHeight: TARGET,
  },
});

import { useRouter } from 'expo-router';
import { memo, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { hasRole } from '@oilcan/core/operations';
import { isOpen, type Hazard, type WorkOrder } from '@oilcan/core/orders/work';
import { performOrSay } from '../../../data/store/use-operation';
import { usePast } from '../../../data/queries/use-past';
import { usePhone, useRow, useSettings } from '../../../data/store/store';
import { useNow } from '../../../data/store/use-now';
import { Icon } from '../../../ui/theme/icon';
import { Button } from '../../../ui/press/press';
import { usePalette } from '../../../ui/theme/use-palette';
import { DocumentList } from '../../plant/documents';
import { ContactList, useContacts } from '../../plant/plant';
import { LastFix, PastBrief } from '../../past/past';
import { GiveSheet, OpenNearby, whyHere } from '../work';
import { DueSoonLines } from '../../finishing/plans';
import { PaperSheet } from '../../past/paper';
import { More } from '../../../ui/press/more';
import { Way } from '../../../ui/press/way';
import { AppText } from '../../../ui/theme/app-text';
import { FollowButton } from '../../overview/notices';
import { HazardSheet, useIsPrepared } from '../hazards';
import { IsolationList } from '../isolation';
import { WorkReports } from '../../raising/reports';
import { PermitList } from '../../plant/permits';
import { Row, Section } from '../../../ui/layout/section';
import {
  mdiAccountMultipleOutline,
  mdiAlertOctagonOutline,
  mdiFactory,
  mdiHistory,
  mdiSortDescending,
  mdiHammerWrench,
  mdiPrinterOutline,
} from '@mdi/js';
import { List } from '../../../ui/layout/list';
import { Kit } from './kit';

/** The others stand on the machine's page. */
const MOST_CONTACTS = 3;

/** Why, what endangers me, and what to take along. */
export const PreparePart = memo(function PreparePart({
  work,
  onPlaced,
  onParts,
}: {
  readonly work: WorkOrder;
  readonly onPlaced: (element: HTMLElement | null) => void;
  /** Opens the parts of the job; null for whoever may not change them. */
  readonly onParts: (() => void) | null;
}): ReactElement {
  const palette = usePalette();
  const router = useRouter();
  const isPrepared = useIsPrepared(work);
  const asset = useRow('assets', work.assetId);
  const past = usePast({ scope: 'asset', id: work.assetId }, work);
  const contacts = useContacts(asset).slice(0, MOST_CONTACTS);
  const [isAdding, setIsAdding] = useState(false);
  const [isPrinting, setIsPrinting] = useState(false);
  const [isWhy, setIsWhy] = useState(false);
  const [isGiving, setIsGiving] = useState(false);
  const isLead = usePhone((state) => state.person !== null && hasRole(state.person, ['lead']));
  const addHazard = (
    <Button rank="quiet" word="Add a hazard" icon={mdiAlertOctagonOutline} onPress={() => setIsAdding(true)} />
  );
  return (
    <Section
      title="Prepare"
      onPlaced={onPlaced}
      {...(isPrepared && work.hazards.length > 0 ? { aside: 'hazards read' } : {})}
    >
      <View style={[sheet.why, { borderColor: palette.green }]}>
        <AppText>{work.reason}</AppText>
      </View>
      {work.handedBack === null ? null : (
        <View style={[sheet.why, { borderColor: palette.faulty }]}>
          <AppText>Handed back: {work.handedBack.reason}</AppText>
        </View>
      )}
      <WorkReports work={work} />
      <PermitList work={work} />
      {work.hazards.length === 0 ? null : (
        <List label="Hazards">
          {work.hazards.map((hazard) => (
            <HazardRow key={hazard.id} hazard={hazard} />
          ))}
        </List>
      )}
      {work.hazards.length === 0 || isPrepared || !isOpen(work.state) ? null : (
        <Button
          rank="primary"
          style={sheet.acknowledge}
          word={work.hazards.length === 1 ? 'I have read the hazard' : `I have read the ${work.hazards.length} hazards`}
          onPress={() =>
            void performOrSay('work.acknowledge-hazards', {
              workOrderId: work.id,
              hazardIds: work.hazards.map(({ id }) => id as never),
            })
          }
        />
      )}
      {isOpen(work.state) && !isPrepared ? addHazard : null}
      {isPrinting ? <PaperSheet work={work} onClose={() => setIsPrinting(false)} /> : null}
      {isAdding ? <HazardSheet work={work} onClose={() => setIsAdding(false)} /> : null}
      <IsolationList work={work} />
      <View style={sheet.kitHead}>
        <AppText as="label" level={3}>
          What the past says
        </AppText>
      </View>
      {asset === undefined ? null : (
        <>
          <LastFix asset={asset} past={past} />
          <PastBrief asset={asset} past={past} plannedParts={work.kit} />
        </>
      )}
      <DueSoonLines work={work} />
      {isOpen(work.state) ? <OpenNearby work={work} /> : null}
      <Kit work={work} onParts={isOpen(work.state) ? onParts : null} />
      {work.tools.length === 0 ? null : (
        <Row>
          <Icon path={mdiHammerWrench} />
          <View style={sheet.words}>
            <AppText>
              Tools: {work.tools.map(({ name, count }) => (count === 1 ? name : `${count} × ${name}`)).join(', ')}
            </AppText>
          </View>
        </Row>
      )}
      {contacts.length === 0 ? null : (
        <View style={sheet.kitHead}>
          <AppText as="label" level={3}>
            Whom to call
          </AppText>
        </View>
      )}
      <ContactList contacts={contacts} />
      <DocumentList assetId={work.assetId} />
      <Way title="Look at the machine" icon={mdiFactory} href={`/plant/${work.assetId}`} />
      <More label="this job">
        {isOpen(work.state) && isPrepared ? addHazard : null}
        <Button rank="quiet" word="Paper" icon={mdiPrinterOutline} onPress={() => setIsPrinting(true)} />
        <FollowButton work={work} />
        <Button rank="quiet" word="Why here in the list?" icon={mdiSortDescending} onPress={() => setIsWhy(!isWhy)} />
        {isLead ? (
          <Button
            rank="quiet"
            word="Who did what"
            icon={mdiHistory}
            onPress={() => router.navigate(`/log?of=workOrders:${work.id}`)}
          />
        ) : null}
        {isLead && isOpen(work.state) ? (
          <Button rank="quiet" word="Give it to …" icon={mdiAccountMultipleOutline} onPress={() => setIsGiving(true)} />
        ) : null}
      </More>
      {isWhy ? <WhyHere work={work} /> : null}
      {isGiving ? <GiveSheet work={work} onClose={() => setIsGiving(false)} /> : null}
    </Section>
  );
});

/** Why it stands where it stands in the list. */
function WhyHere({ work }: { readonly work: WorkOrder }): ReactElement | null {
  const asset = useRow('assets', work.assetId);
  const settings = useSettings(work.siteId);
  const present = useNow(30);
  return settings === undefined ? null : <AppText live>{whyHere(work, asset, present, settings)}</AppText>;
}

function HazardRow({ hazard: { hazard, control, stopId } }: { readonly hazard: Hazard }): ReactElement {
  const stop = useRow('stops', stopId);
  const machine = useRow('assets', stop?.assetId);
  return (
    <Row>
      <Icon path={mdiAlertOctagonOutline} />
      <View style={sheet.words}>
        <AppText>{machine === undefined ? hazard : `${hazard}, at ${machine.name}`}</AppText>
        <AppText as="small" soft>
          {control}
        </AppText>
      </View>
    </Row>
  );
}

const sheet = StyleSheet.create({
  why: { borderLeftWidth: 4, paddingLeft: 12, marginTop: 12, marginBottom: 6 },
  words: { flex: 1, minWidth: 0 },
  acknowledge: { marginVertical: 12 },
  kitHead: { paddingTop: 14 },
});

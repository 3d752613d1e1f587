import { useRouter } from 'expo-router';
import { memo, useDeferredValue, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import type { SiteId } from '@oilcan/core/kernel';
import { hasRole } from '@oilcan/core/operations';
import { isOpen, type Hazard, type WorkOrder } from '@oilcan/core/work';
import { performOrSay } from '../../data/use-operation';
import { usePhone, useRow } from '../../data/store';
import { Icon } from '../../ui/icon';
import { Button } from '../../ui/press';
import { usePalette } from '../../ui/use-palette';
import { DocumentList } from '../documents';
import { ContactList, useContacts } from '../plant';
import { WorkPast } from '../past';
import { GiveSheet } from '../work';
import { DueSoonLines } from '../plans';
import { PaperSheet } from '../paper';
import { Words } from '../../ui/words';
import { counted } from '../../words/work-words';
import { FollowButton } from '../notices';
import { HazardSheet, useIsPrepared } from '../hazards';
import { IsolationList } from '../isolation';
import { isShort, useKitLines, type KitLine } from '../../data/stock';
import { amountOf, binName } from '../../words/amounts';
import { WorkReports } from '../reported';
import { PermitList } from '../permits';
import { Row, Section } from '../../ui/section';
import {
  mdiAccountMultipleOutline,
  mdiAlertOctagonOutline,
  mdiFactory,
  mdiHammerWrench,
  mdiPackageVariant,
  mdiPrinterOutline,
} from '@mdi/js';
import { List } from '../../ui/list';

/** The others stand on the machine's page. */
const MOST_CONTACTS = 3;

/** Why, what endangers me, and what to take along. */
export function PreparePart({
  work,
  onPlaced,
}: {
  readonly work: WorkOrder;
  readonly onPlaced: (element: HTMLElement | null) => void;
}): ReactElement {
  const palette = usePalette();
  const router = useRouter();
  const isPrepared = useIsPrepared(work);
  const contacts = useContacts(useRow('assets', work.assetId)).slice(0, MOST_CONTACTS);
  const [isAdding, setIsAdding] = useState(false);
  const [isPrinting, setIsPrinting] = useState(false);
  const [isGiving, setIsGiving] = useState(false);
  const isLead = usePhone((state) => state.person !== null && hasRole(state.person, ['lead']));
  return (
    <Section
      title="Prepare"
      onPlaced={onPlaced}
      {...(isPrepared && work.hazards.length > 0 ? { aside: 'hazards read' } : {})}
    >
      <View style={[sheet.why, { borderColor: palette.green }]}>
        <Words>{work.reason}</Words>
      </View>
      {work.handedBack === null ? null : (
        <View style={[sheet.why, { borderColor: palette.faulty }]}>
          <Words>Handed back: {work.handedBack.reason}</Words>
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
          main
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
      {isOpen(work.state) ? (
        <Button
          style={sheet.acknowledge}
          word="Add a hazard"
          icon={mdiAlertOctagonOutline}
          onPress={() => setIsAdding(true)}
        />
      ) : null}
      {isPrinting ? <PaperSheet work={work} onClose={() => setIsPrinting(false)} /> : null}
      {isAdding ? <HazardSheet work={work} onClose={() => setIsAdding(false)} /> : null}
      <IsolationList work={work} />
      <View style={sheet.kitHead}>
        <Words as="label" level={3}>
          What the past says
        </Words>
      </View>
      <WorkPast work={work} />
      <DueSoonLines work={work} />
      <Kit work={work} />
      {work.tools.length === 0 ? null : (
        <Row>
          <Icon path={mdiHammerWrench} />
          <View style={sheet.words}>
            <Words>
              Tools: {work.tools.map(({ name, count }) => (count === 1 ? name : `${count} × ${name}`)).join(', ')}
            </Words>
          </View>
        </Row>
      )}
      {contacts.length === 0 ? null : (
        <View style={sheet.kitHead}>
          <Words as="label" level={3}>
            Whom to call
          </Words>
        </View>
      )}
      <ContactList contacts={contacts} />
      <DocumentList assetId={work.assetId} />
      <Button
        style={sheet.acknowledge}
        word="Look at the machine"
        icon={mdiFactory}
        onPress={() => router.navigate(`/plant/${work.assetId}`)}
      />
      <View style={sheet.more}>
        <Button word="Paper" icon={mdiPrinterOutline} onPress={() => setIsPrinting(true)} />
        <FollowButton work={work} />
        {isLead ? (
          <Button word="Who did what" onPress={() => router.navigate(`/log?of=workOrders:${work.id}`)} />
        ) : null}
        {isLead && isOpen(work.state) ? (
          <Button word="Give it to …" icon={mdiAccountMultipleOutline} onPress={() => setIsGiving(true)} />
        ) : null}
      </View>
      {isGiving ? <GiveSheet work={work} onClose={() => setIsGiving(false)} /> : null}
    </Section>
  );
}

/** Follows what is taken by itself, so that an entry does not draw all of Prepare again. */
function Kit({ work }: { readonly work: WorkOrder }): ReactElement | null {
  const kit = useDeferredValue(useKitLines(work));
  return kit.length === 0 ? null : <KitLines kit={kit} siteId={work.siteId} />;
}

interface KitLinesProps {
  readonly kit: readonly KitLine[];
  readonly siteId: SiteId;
}

const KitLines = memo(function KitLines({ kit, siteId }: KitLinesProps): ReactElement {
  return (
    <>
      <View style={sheet.kitHead}>
        <Words as="label" level={3}>
          Kit, {counted(kit.length, 'part', 'parts')}
        </Words>
      </View>
      <List label="Kit">
        {kit.map((line, index) => (
          <KitRow key={index} line={line} siteId={siteId} />
        ))}
      </List>
    </>
  );
});

function KitRow({ line, siteId }: { readonly line: KitLine; readonly siteId: SiteId }): ReactElement {
  const palette = usePalette();
  const part = useRow('parts', line.planned.partId);
  const bin = useRow('bins', line.planned.binId);
  const store = useRow('stores', bin?.storeId);
  const isTooLittle = isShort(line);
  const site = useRow('sites', bin?.siteId);
  const far = bin === undefined || bin.siteId === siteId ? '' : ` (${site?.name ?? 'another site'})`;
  const where = bin === undefined ? binName(bin) : `${store?.name ?? ''}, ${binName(bin)}${far}`;
  return (
    <Row>
      <Icon path={mdiPackageVariant} />
      <View style={sheet.words}>
        <Words>
          {amountOf(line.quantity, line)} {part?.name ?? ''}
        </Words>
        <Words as="small" {...(isTooLittle ? { color: palette.faulty } : { soft: true })}>
          {line.left === 0
            ? `Used: ${amountOf(line.used, part)}`
            : isTooLittle
              ? `Short: ${amountOf(line.onHand, part)} in ${where}`
              : `${amountOf(line.onHand, part)} in ${where}`}
        </Words>
      </View>
    </Row>
  );
}

function HazardRow({ hazard: { hazard, control, stopId } }: { readonly hazard: Hazard }): ReactElement {
  const stop = useRow('stops', stopId);
  const machine = useRow('assets', stop?.assetId);
  return (
    <Row>
      <Icon path={mdiAlertOctagonOutline} />
      <View style={sheet.words}>
        <Words>{machine === undefined ? hazard : `${hazard}, at ${machine.name}`}</Words>
        <Words as="small" soft>
          {control}
        </Words>
      </View>
    </Row>
  );
}

const sheet = StyleSheet.create({
  why: { borderLeftWidth: 4, paddingLeft: 12, marginTop: 12, marginBottom: 6 },
  words: { flex: 1, minWidth: 0 },
  acknowledge: { marginVertical: 12 },
  kitHead: { paddingTop: 14 },
  more: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});

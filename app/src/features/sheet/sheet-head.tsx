import { mdiCalendarClockOutline, mdiTimerOutline } from '@mdi/js';
import { useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { formatDuration } from '@oilcan/core/kernel';
import { isLate } from '@oilcan/core/shift';
import { isOpen, type WorkOrder } from '@oilcan/core/work';
import { useRow, useSettings } from '../../data/store';
import { useNow } from '../../data/use-now';
import { Icon } from '../../ui/icon';
import { Press } from '../../ui/press';
import { UrgencyMark } from '../../ui/urgency';
import { Words } from '../../ui/words';
import { sayDue, sayLocalDay } from '../../words/dates';
import { kindWords, urgencyWords } from '../../words/work-words';
import { ChainLines } from '../further';
import { GoAheadLine } from '../go-ahead';
import { HandOverLine } from '../lifecycle';
import { PutOffLine, WhenSheet } from '../schedule';
import { useIsOurs, whyHere } from '../work';
import { PageTitle } from '../page/page-title';

/** What it is, where, and by when. */
export function SheetHead({ work }: { readonly work: WorkOrder }): ReactElement {
  const asset = useRow('assets', work.assetId);
  const place = useRow('places', work.placeId);
  const settings = useSettings(work.siteId);
  const present = useNow(30);
  const [isAsking, setIsAsking] = useState(false);
  const [changing, setChanging] = useState<'urgency' | 'putOff' | null>(null);
  const mayChange = useIsOurs(work) && isOpen(work.state);
  const planned =
    settings === undefined || work.plannedOn === undefined || work.plannedOn === null || !isOpen(work.state)
      ? null
      : sayLocalDay(work.plannedOn, present, settings.zone, settings.language);
  return (
    <View style={sheet.head}>
      <PageTitle>{work.title}</PageTitle>
      <GoAheadLine work={work} />
      <Words soft>
        {asset?.name} · {asset?.tag} · {place?.name}
      </Words>
      <View style={sheet.facts}>
        {mayChange ? (
          <Press
            onPress={() => setChanging('urgency')}
            label={`${urgencyWords[work.urgency]}: change how urgent it is`}
          >
            <UrgencyMark urgency={work.urgency} />
          </Press>
        ) : (
          <UrgencyMark urgency={work.urgency} />
        )}
        <Words as="mark">{kindWords[work.kind]}</Words>
        {planned === null ? null : <Words as="mark">planned for {planned}</Words>}
        {work.dueAt === null || settings === undefined || !isOpen(work.state) ? null : (
          <View style={sheet.fact}>
            <Icon path={mdiCalendarClockOutline} size={18} />
            <Words as={isLate(work, present) ? 'label' : 'mark'}>
              {sayDue(work.dueAt, present, settings.zone, settings.language)}
            </Words>
          </View>
        )}
        {work.estimateMinutes === 0 ? null : (
          <View style={sheet.fact}>
            <Icon path={mdiTimerOutline} size={18} />
            <Words as="mark">about {formatDuration(work.estimateMinutes)}</Words>
          </View>
        )}
        {mayChange ? (
          <Press onPress={() => setChanging('putOff')} label="Change dates: put off, due, planned" style={sheet.why}>
            <Words as="mark">Change dates</Words>
          </Press>
        ) : null}
        {settings === undefined ? null : (
          <Press onPress={() => setIsAsking(!isAsking)} style={sheet.why}>
            <Words as="mark">{isAsking ? 'Close' : 'Why here in the list?'}</Words>
          </Press>
        )}
      </View>
      <HandOverLine work={work} />
      <ChainLines work={work} />
      <PutOffLine work={work} />
      {changing === null ? null : <WhenSheet work={work} first={changing} onClose={() => setChanging(null)} />}
      {isAsking && settings !== undefined ? <Words live>{whyHere(work, asset, present, settings)}</Words> : null}
    </View>
  );
}

const sheet = StyleSheet.create({
  head: { paddingTop: 14, gap: 4 },
  facts: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', columnGap: 16, rowGap: 4, paddingTop: 4 },
  fact: { flexDirection: 'row', alignItems: 'center', gap: 5 },
  why: { paddingHorizontal: 4 },
});

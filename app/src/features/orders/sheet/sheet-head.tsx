import { useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { formatDuration } from '@oilcan/core/kernel';
import { isLate } from '@oilcan/core/finishing/shift';
import { isOpen, type WorkOrder } from '@oilcan/core/orders/work';
import { useRow, useSettings } from '../../../data/store/store';
import { useNow } from '../../../data/store/use-now';
import { Fact, FactKey } from '../../../ui/layout/fact';
import { UrgencyMark } from '../../../ui/drawn/urgency';
import { AppText } from '../../../ui/theme/app-text';
import { sayDue, sayLocalDay } from '../../../words/dates';
import { kindWords, urgencyWords } from '../../../words/work-words';
import { ChainLines } from '../../finishing/further';
import { GoAheadLine } from '../../recording/go-ahead';
import { HandOverLine } from '../../finishing/lifecycle';
import { PutOffLine, WhenSheet } from '../../finishing/schedule';
import { useIsOurs } from '../work';
import { PageTitle } from '../../frame/page/page-title';

const NO_DATE = 'no date';

/** What it is, where, and by when, in one line of facts; those that can be changed have their pen. */
export function SheetHead({ work }: { readonly work: WorkOrder }): ReactElement {
  const asset = useRow('assets', work.assetId);
  const place = useRow('places', work.placeId);
  const settings = useSettings(work.siteId);
  const present = useNow(30);
  const [changing, setChanging] = useState<'urgency' | 'putOff' | null>(null);
  const mayChange = useIsOurs(work) && isOpen(work.state);
  const late = isLate(work, present);
  const due =
    work.dueAt === null || settings === undefined || !isOpen(work.state)
      ? null
      : sayDue(work.dueAt, present, settings.zone, settings.language);
  const planned =
    settings === undefined || work.plannedOn === undefined || work.plannedOn === null || !isOpen(work.state)
      ? null
      : sayLocalDay(work.plannedOn, present, settings.zone, settings.language);
  const when =
    [due, planned === null ? null : `planned for ${planned}`].filter((each) => each !== null).join(', ') || NO_DATE;
  return (
    <View style={sheet.head}>
      <PageTitle>{work.title}</PageTitle>
      <GoAheadLine work={work} />
      <AppText soft>
        {kindWords[work.kind]} · {asset?.name} · {asset?.tag} · {place?.name}
      </AppText>
      <View style={sheet.facts}>
        {mayChange ? (
          <FactKey
            onPress={() => setChanging('urgency')}
            label={`${urgencyWords[work.urgency]}: change how urgent it is`}
          >
            <UrgencyMark urgency={work.urgency} />
          </FactKey>
        ) : (
          <UrgencyMark urgency={work.urgency} />
        )}
        {mayChange ? (
          <FactKey onPress={() => setChanging('putOff')} label={`Change dates: put off, due, planned: ${when}`}>
            <AppText as={late ? 'label' : 'mark'}>{when}</AppText>
          </FactKey>
        ) : when === NO_DATE ? null : (
          <Fact words={when} isStrong={late} />
        )}
        {work.estimateMinutes === 0 ? null : <Fact words={`about ${formatDuration(work.estimateMinutes)}`} />}
      </View>
      <HandOverLine work={work} />
      <ChainLines work={work} />
      <PutOffLine work={work} />
      {changing === null ? null : <WhenSheet work={work} first={changing} onClose={() => setChanging(null)} />}
    </View>
  );
}

const sheet = StyleSheet.create({
  head: { paddingTop: 14, gap: 4 },
  facts: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', columnGap: 16, rowGap: 4, paddingTop: 4 },
});

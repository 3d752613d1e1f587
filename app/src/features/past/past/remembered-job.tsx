import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { formatDuration } from '@oilcan/core/kernel';
import type { PastJob } from '@oilcan/core/past/past';
import { recordedOn } from '@oilcan/core/registry';
import { rememberedJob } from '../../../data/past/last-read';
import { now, useRow, useSettings } from '../../../data/store/store';
import { AppText } from '../../../ui/theme/app-text';
import { sayMoment } from '../../../words/dates';
import { kindWords } from '../../../words/work-words';
import { eventLine, eventWords } from './event-words';

interface Props {
  readonly workOrderId: string;
  /** Where no past that was read knows it either. */
  readonly otherwise: ReactElement;
}

/** What the past says of a job whose record this phone does not carry and cannot look up. */
export function RememberedJob({ workOrderId, otherwise }: Props): ReactElement {
  const job = rememberedJob(workOrderId);
  return job === undefined ? otherwise : <Remembered job={job} />;
}

function Remembered({ job }: { readonly job: PastJob }): ReactElement {
  const asset = useRow('assets', job.assetId);
  const settings = useSettings();
  const facts = [
    job.number,
    kindWords[job.kind],
    ...(settings === undefined || job.endedAt === null
      ? []
      : [`ended ${sayMoment(job.endedAt, now(), settings.zone, settings.language)}`]),
    ...(job.activeMinutes === 0 ? [] : [`${formatDuration(job.activeMinutes)} worked`]),
  ];
  return (
    <View style={sheet.all}>
      <AppText as="title" level={2}>
        {job.title}
      </AppText>
      <AppText soft>{facts.join(' · ')}</AppText>
      {asset === undefined ? null : <AppText soft>{asset.name}</AppText>}
      <AppText live>No signal to look its whole record up. This is what the past on this phone says of it.</AppText>
      {job.reason === '' ? null : <AppText>{job.reason}</AppText>}
      {recordedOn(job).map(({ kind, events }) => (
        <View key={kind}>
          <AppText as="heading" level={3}>
            {eventWords(kind)}
          </AppText>
          {events.map((event) => (
            <AppText key={event.id}>{eventLine(event)}</AppText>
          ))}
        </View>
      ))}
    </View>
  );
}

const sheet = StyleSheet.create({
  all: { gap: 10 },
});

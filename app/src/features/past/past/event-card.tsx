import { memo, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import type { PastEvent } from '@oilcan/core/past/past';
import { now, useRow, useSettings } from '../../../data/store/store';
import { LinkPress } from '../../../ui/press/link-press';

import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { sayMoment } from '../../../words/dates';
import { stateWords } from '../../../words/work-words';
import { eventLine, jobFacts } from './event-words';

interface Props {
  readonly event: PastEvent;
  readonly isAssetNamed: boolean;
}

/** One event on a phone; pressing it opens its work order. */
export const EventCard = memo(function EventCard({ event, isAssetNamed }: Props): ReactElement {
  const palette = usePalette();
  const settings = useSettings();
  const asset = useRow('assets', isAssetNamed ? event.job.assetId : null);
  const { job } = event;
  return (
    <LinkPress
      href={`/shift/${job.id}`}
      style={[sheet.card, { borderColor: palette.line, backgroundColor: palette.card }]}
    >
      <View style={sheet.line}>
        {settings === undefined ? null : (
          <AppText as="label">{sayMoment(event.at, now(), settings.zone, settings.language)}</AppText>
        )}
        <AppText as="mark" soft>
          {job.number}
          {job.endedAt === null ? `, ${stateWords[job.state].toLowerCase()}` : ''}
        </AppText>
        {asset === undefined ? null : (
          <AppText as="mark" soft>
            {asset.name}
          </AppText>
        )}
      </View>
      <AppText as={event.kind === 'work' ? 'row' : 'text'}>{eventLine(event)}</AppText>
      {event.kind === 'work' ? (
        <>
          {jobFacts(job).map((fact) => (
            <AppText key={fact} as="small" soft>
              {fact}
            </AppText>
          ))}
          {job.notes.length === 0 ? null : <AppText as="small">“{job.notes.at(-1)}”</AppText>}
        </>
      ) : (
        <AppText as="small" soft>
          {job.title}
        </AppText>
      )}
    </LinkPress>
  );
});

const sheet = StyleSheet.create({
  card: { paddingHorizontal: 16, paddingVertical: 10, borderBottomWidth: 1, gap: 2 },
  line: { flexDirection: 'row', flexWrap: 'wrap', columnGap: 12 },
});

import { memo, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import type { PastEvent } from '@oilcan/core/past/past';
import { now, useRow, useSettings } from '../../../data/store/store';
import { LinkPress } from '../../../ui/press/link-press';

import { usePalette } from '../../../ui/theme/use-palette';
import { Words } from '../../../ui/theme/words';
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
          <Words as="label">{sayMoment(event.at, now(), settings.zone, settings.language)}</Words>
        )}
        <Words as="mark" soft>
          {job.number}
          {job.endedAt === null ? `, ${stateWords[job.state].toLowerCase()}` : ''}
        </Words>
        {asset === undefined ? null : (
          <Words as="mark" soft>
            {asset.name}
          </Words>
        )}
      </View>
      <Words as={event.kind === 'work' ? 'row' : 'text'}>{eventLine(event)}</Words>
      {event.kind === 'work' ? (
        <>
          {jobFacts(job).map((fact) => (
            <Words key={fact} as="small" soft>
              {fact}
            </Words>
          ))}
          {job.notes.length === 0 ? null : <Words as="small">“{job.notes.at(-1)}”</Words>}
        </>
      ) : (
        <Words as="small" soft>
          {job.title}
        </Words>
      )}
    </LinkPress>
  );
});

const sheet = StyleSheet.create({
  card: { paddingHorizontal: 16, paddingVertical: 10, borderBottomWidth: 1, gap: 2 },
  line: { flexDirection: 'row', flexWrap: 'wrap', columnGap: 12 },
});

import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Instant } from '@oilcan/core/kernel';
import { permitStanding, type Permit, type PermitStanding } from '@oilcan/core/plant/permits';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { useRow, useRows, useSettings } from '../../../data/store/store';
import { Icon } from '../../../ui/theme/icon';
import { usePalette } from '../../../ui/theme/use-palette';
import { useNow } from '../../../data/store/use-now';
import { AppText } from '../../../ui/theme/app-text';
import { sayMoment } from '../../../words/dates';
import { permitWords } from '../../../words/work-words';
import { Row } from '../../../ui/layout/section';
import { mdiClipboardCheckOutline } from '@mdi/js';
import { List } from '../../../ui/layout/list';

/** In Prepare: the leave in writing that the work needs, and whether it holds now. */
export function PermitList({ work }: { readonly work: WorkOrder }): ReactElement | null {
  const permits = useRows('permits', 'workOrder', work.id);
  const present = useNow(30);
  if (permits.length === 0) return null;
  return (
    <View>
      <View style={sheet.head}>
        <AppText as="label" level={3}>
          {permits.length === 1 ? 'Permit' : 'Permits'}
        </AppText>
      </View>
      <List label="Permits">
        {permits.map((permit) => (
          <PermitRow key={permit.id} permit={permit} present={present} />
        ))}
      </List>
    </View>
  );
}

function PermitRow({ permit, present }: { readonly permit: Permit; readonly present: Instant }): ReactElement {
  const palette = usePalette();
  const settings = useSettings(permit.siteId);
  const by = useRow('people', permit.issued?.by);
  const standing = permitStanding(permit, present);
  const say = (at: Instant): string =>
    settings === undefined ? '' : sayMoment(at, present, settings.zone, settings.language);
  const holds = standingWords(standing, permit.issued, say);
  return (
    <Row>
      <Icon path={mdiClipboardCheckOutline} />
      <View style={sheet.words}>
        <AppText>
          {permitWords[permit.kind]}
          {permit.issued === null ? '' : ` ${permit.issued.number}`}
        </AppText>
        <AppText
          as={standing === 'valid' ? 'small' : 'label'}
          {...(standing === 'valid' ? {} : { color: palette.faulty })}
        >
          {holds}
        </AppText>
        <AppText as="small" soft>
          {[permit.conditions, by === undefined ? '' : `Given by ${by.name}.`].filter(Boolean).join(' ')}
        </AppText>
      </View>
    </Row>
  );
}

function standingWords(standing: PermitStanding, issued: Permit['issued'], say: (at: Instant) => string): string {
  if (issued === null) return 'Not given yet. Ask your lead before you begin.';
  switch (standing) {
    case 'to come':
      return `Holds from ${say(issued.from)}. Do not begin before that.`;
    case 'over':
      return `Ended ${say(issued.until)}. Ask your lead for a new one.`;
    default:
      return `Holds until ${say(issued.until)}`;
  }
}

const sheet = StyleSheet.create({
  head: { paddingTop: 14 },
  words: { flex: 1, minWidth: 0 },
});

import type { ReactElement } from 'react';
import { View } from 'react-native';
import type { Asset } from '@oilcan/core/plant/plant';
import { isOpen, type WorkOrder } from '@oilcan/core/orders/work';
import { useRows, useSettings } from '../../../data/store/store';
import { LinkPress } from '../../../ui/press/link-press';
import { Icon } from '../../../ui/theme/icon';

import { usePalette } from '../../../ui/theme/use-palette';
import { useNow } from '../../../data/store/use-now';
import { AppText } from '../../../ui/theme/app-text';
import { sayDue } from '../../../words/dates';
import { counted, stateOf } from '../../../words/work-words';
import { Section } from '../../../ui/layout/section';
import { lines } from './asset-lines';
import { levelOfLatest, PointLine } from './asset-points';
import { mdiChevronRight } from '@mdi/js';
import { List } from '../../../ui/layout/list';

/** What is open on it, what is wrong with it first with its reason, and the measuring points beyond a limit. */
export function OpenHere({ asset }: { readonly asset: Asset }): ReactElement {
  const open = useRows('workOrders', 'asset', asset.id).filter(({ state }) => isOpen(state));
  const wrong = open.filter(({ kind }) => kind === 'corrective');
  const others = open.filter(({ kind }) => kind !== 'corrective');
  const points = useRows('points', 'asset', asset.id).filter((point) => levelOfLatest(point) !== 'normal');
  return (
    <Section title="Open here" aside={open.length === 0 ? 'no job' : counted(open.length, 'job', 'jobs')}>
      <List label="Open here">
        {[
          ...wrong.map((work) => <WorkLine key={work.id} work={work} isReasonShown />),
          ...points.map((point) => <PointLine key={point.id} point={point} />),
          ...others.map((work) => <WorkLine key={work.id} work={work} />),
        ]}
      </List>
    </Section>
  );
}

function WorkLine({
  work,
  isReasonShown = false,
}: {
  readonly work: WorkOrder;
  readonly isReasonShown?: boolean;
}): ReactElement {
  const palette = usePalette();
  const settings = useSettings(work.siteId);
  const present = useNow(60);
  const due =
    work.dueAt === null || settings === undefined
      ? ''
      : ` · ${sayDue(work.dueAt, present, settings.zone, settings.language)}`;
  return (
    <LinkPress href={`/shift/${work.id}`} style={[lines.line, lines.linked, { borderColor: palette.line }]}>
      <View style={lines.words}>
        <AppText>{work.title}</AppText>
        <AppText as="small" soft>
          {work.number} · {stateOf(work)}
          {due}
        </AppText>
        {isReasonShown ? <AppText as="small">{work.reason}</AppText> : null}
      </View>
      <Icon path={mdiChevronRight} color={palette.inkSoft} />
    </LinkPress>
  );
}

import type { ReactElement } from 'react';
import { View } from 'react-native';
import type { Asset } from '@oilcan/core/plant';
import { isOpen, type WorkOrder } from '@oilcan/core/work';
import { useRows, useSettings } from '../../data/store';
import { LinkPress } from '../../ui/link-press';
import { Icon } from '../../ui/icon';

import { usePalette } from '../../ui/use-palette';
import { useNow } from '../../data/use-now';
import { Words } from '../../ui/words';
import { sayDue } from '../../words/dates';
import { stateOf } from '../../words/work-words';
import { Section } from '../../ui/section';
import { lines } from './asset-lines';
import { levelOfLatest, PointLine } from './asset-points';
import { mdiChevronRight } from '@mdi/js';
import { List } from '../../ui/list';

/** What is wrong with it and known: open corrective work, and measuring points beyond a limit. */
export function WrongNow({ asset }: { readonly asset: Asset }): ReactElement | null {
  const works = useRows('workOrders', 'asset', asset.id).filter(
    (work) => isOpen(work.state) && work.kind === 'corrective',
  );
  const points = useRows('points', 'asset', asset.id).filter((point) => levelOfLatest(point) !== 'normal');
  if (works.length + points.length === 0) return null;
  return (
    <Section title="Wrong with it now">
      <List label="Wrong with it now">
        {works.map((work) => (
          <WorkLine key={work.id} work={work} isReasonShown />
        ))}
        {points.map((point) => (
          <PointLine key={point.id} point={point} />
        ))}
      </List>
    </Section>
  );
}

export function OpenWork({ asset }: { readonly asset: Asset }): ReactElement {
  const works = useRows('workOrders', 'asset', asset.id).filter(
    (work) => isOpen(work.state) && work.kind !== 'corrective',
  );
  return (
    <Section title="Open work">
      {works.length === 0 ? (
        <Words style={lines.line}>No other work is open on it.</Words>
      ) : (
        <List label="Open work">
          {works.map((work) => (
            <WorkLine key={work.id} work={work} />
          ))}
        </List>
      )}
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
        <Words>{work.title}</Words>
        <Words as="small" soft>
          {work.number} · {stateOf(work)}
          {due}
        </Words>
        {isReasonShown ? <Words as="small">{work.reason}</Words> : null}
      </View>
      <Icon path={mdiChevronRight} color={palette.inkSoft} />
    </LinkPress>
  );
}

import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Asset, MeasuringPoint } from '@oilcan/core/plant/plant';
import { levelOf, type ReadingLevel, usageOf } from '@oilcan/core/steps/readings';
import { now, useRows, useSettings } from '../../../data/store/store';
import { LinkPress } from '../../../ui/press/link-press';
import { Icon } from '../../../ui/theme/icon';

import { ReadingScale } from '../../../ui/drawn/reading-scale';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { sayMoment } from '../../../words/dates';
import { counted, levelWords } from '../../../words/work-words';
import { Section } from '../../../ui/layout/section';
import { lines } from './asset-lines';
import { mdiChevronRight } from '@mdi/js';
import { List } from '../../../ui/layout/list';

const SCALE_HEIGHT = 46;

/** How the latest value of a point stands to its limits; one that was never read is normal. */
export function levelOfLatest(point: MeasuringPoint): ReadingLevel {
  const newest = point.latest.at(-1);
  return newest === undefined ? 'normal' : levelOf(newest.value, point.limits);
}

export function Points({ asset }: { readonly asset: Asset }): ReactElement | null {
  const points = useRows('points', 'asset', asset.id);
  if (points.length === 0) return null;
  return (
    <Section title="Meters and measuring points">
      <List label="Meters and measuring points">
        {points.map((point) => (
          <PointLine key={point.id} point={point} />
        ))}
      </List>
    </Section>
  );
}

/** To two digits that count: `0.06`, `6.4`, `120`. */
const usageWords = (perDay: number): string => String(Number(perDay.toPrecision(2)));

export function PointLine({ point }: { readonly point: MeasuringPoint }): ReactElement {
  const palette = usePalette();
  const settings = useSettings();
  const newest = point.latest.at(-1);
  const first = point.latest[0];
  const level = levelOfLatest(point);
  const when =
    newest === undefined || settings === undefined
      ? 'never read'
      : sayMoment(newest.at, now(), settings.zone, settings.language);
  const usage = point.isMeter ? usageOf(point.latest, point.rollsOverAt) : null;
  const change = newest === undefined || first === undefined ? 0 : newest.value - first.value;
  const course =
    usage !== null
      ? ` · about ${usageWords(usage.perDay)} ${point.unit} a day`
      : point.latest.length < 2 || change === 0
        ? ''
        : ` · ${change > 0 ? 'up' : 'down'} ${Math.abs(change).toFixed(point.decimals)} over ${counted(point.latest.length, 'reading', 'readings')}`;
  return (
    <LinkPress
      href={`/plant/past/${point.assetId}?point=${point.id}`}
      style={[lines.line, lines.linked, sheet.point, { borderColor: palette.line }]}
    >
      <View style={sheet.pointWords}>
        <AppText>{point.name}</AppText>
        <AppText as="small" soft>
          {when}
          {course}
        </AppText>
      </View>
      {newest === undefined ? null : <ReadingScale point={point} value={newest.value} height={SCALE_HEIGHT} isSmall />}
      <View style={sheet.value}>
        <AppText as="row">
          {newest === undefined ? '–' : `${newest.value.toFixed(point.decimals)} ${point.unit}`}
        </AppText>
        {level === 'normal' ? null : <AppText as="label">{levelWords[level]}</AppText>}
      </View>
      <Icon path={mdiChevronRight} color={palette.inkSoft} />
    </LinkPress>
  );
}

const sheet = StyleSheet.create({
  // With very large text the value goes under its name.
  point: { flexWrap: 'wrap' },
  pointWords: { flexGrow: 1, flexShrink: 1, flexBasis: 150, minWidth: 0 },
  value: { alignItems: 'flex-end', minWidth: 84 },
});

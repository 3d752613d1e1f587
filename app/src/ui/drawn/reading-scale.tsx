import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import type { MeasuringPoint } from '@oilcan/core/plant/plant';
import { levelOf, type ReadingLevel } from '@oilcan/core/steps/readings';
import { keepsItsColors } from '../theme/theme';
import { usePalette } from '../theme/use-palette';
import { AppText } from '../theme/app-text';

interface Props {
  readonly point: Pick<MeasuringPoint, 'limits' | 'scale' | 'latest' | 'decimals' | 'unit'>;
  /** What is being typed, if it is a number. */
  readonly value: number | null;
  readonly height?: number;
  /** Beside a row: without the words at the limits. */
  readonly isSmall?: boolean;
}

/** The dipstick for a value: limits as bands, the last five values as fine marks, the new one as the level. */
export function ReadingScale({ point, value, height = 240, isSmall = false }: Props): ReactElement {
  const palette = usePalette();
  const { from, to } = point.scale;
  const { alarmLow, alertLow, alertHigh, alarmHigh } = point.limits;
  const share = (at: number): number => Math.min(1, Math.max(0, (at - from) / (to - from)));
  const shown = value ?? point.latest.at(-1)?.value ?? null;
  const band = (low: number, high: number, color: string): ReactElement => (
    <View
      style={[
        sheet.band,
        { backgroundColor: color, bottom: share(low) * height, height: (share(high) - share(low)) * height },
      ]}
    />
  );
  const limit = (at: number | null, word: string): ReactElement | null =>
    at === null ? null : (
      <View style={[sheet.limit, { bottom: share(at) * height }]}>
        <View style={[sheet.limitLine, keepsItsColors, { backgroundColor: palette.ink }]} />
        {isSmall ? null : (
          <AppText as="mark" style={sheet.limitWord} lines={1}>
            {at} {word}
          </AppText>
        )}
      </View>
    );
  return (
    <View
      style={[sheet.frame, isSmall && sheet.frameSmall, { height }]}
      {...(isSmall ? { 'aria-hidden': true } : { role: 'img', 'aria-label': scaleWords(point, value) })}
    >
      <View style={[sheet.stick, keepsItsColors, { height, backgroundColor: palette.scale }]}>
        {alertHigh === null ? null : band(alertHigh, alarmHigh ?? to, palette.alertBand)}
        {alarmHigh === null ? null : band(alarmHigh, to, palette.alarmBand)}
        {alertLow === null ? null : band(alarmLow ?? from, alertLow, palette.alertBand)}
        {alarmLow === null ? null : band(from, alarmLow, palette.alarmBand)}
        {shown === null ? null : (
          <View
            style={[
              sheet.level,
              { height: share(shown) * height, backgroundColor: palette.green, opacity: value === null ? 0.45 : 1 },
            ]}
          />
        )}
      </View>
      {point.latest.map((reading, index) => (
        <View
          key={index}
          style={[
            sheet.earlier,
            keepsItsColors,
            { bottom: share(reading.value) * height, backgroundColor: palette.ink },
          ]}
        />
      ))}
      {limit(alarmHigh, 'alarm')}
      {limit(alertHigh, 'alert')}
      {limit(alertLow, 'alert')}
      {limit(alarmLow, 'alarm')}
    </View>
  );
}

/** What the scale shows, for whoever does not see it: its ends and limits, the last values, and how the one that is typed stands. */
export function scaleWords({ scale, limits, latest, decimals, unit }: Props['point'], value: number | null): string {
  const say = (at: number): string => `${at} ${unit}`;
  const { alarmLow, alertLow, alertHigh, alarmHigh } = limits;
  const bounds = [
    alertHigh === null ? null : `alert above ${say(alertHigh)}`,
    alarmHigh === null ? null : `alarm above ${say(alarmHigh)}`,
    alertLow === null ? null : `alert below ${say(alertLow)}`,
    alarmLow === null ? null : `alarm below ${say(alarmLow)}`,
  ].filter((each) => each !== null);
  const last = latest.slice(-MOST_SAID).map((reading) => reading.value.toFixed(decimals));
  return [
    `Scale from ${scale.from} to ${say(scale.to)}`,
    ...(bounds.length === 0 ? [] : [bounds.join(', ')]),
    last.length === 0 ? 'no value yet' : `last ${last.length === 1 ? 'value' : 'values'} ${last.join(', ')}`,
    ...(value === null ? [] : [`${say(value)} is ${levelWords[levelOf(value, limits)]}`]),
  ].join('; ');
}

/** So many of the values before are said. */
const MOST_SAID = 5;
const levelWords: Readonly<Record<ReadingLevel, string>> = {
  normal: 'as it should be',
  alert: 'beyond alert',
  alarm: 'beyond alarm',
};

const LEFT = 22;
const STICK = 30;

const sheet = StyleSheet.create({
  frame: { width: LEFT + STICK + 66 },
  frameSmall: { width: LEFT + STICK + 4 },
  stick: { position: 'absolute', left: LEFT, width: STICK, overflow: 'hidden' },
  band: { position: 'absolute', left: 0, right: 0 },
  level: { position: 'absolute', left: 9, right: 0, bottom: 0 },
  earlier: { position: 'absolute', left: 4, width: 16, height: 2 },
  limit: { position: 'absolute', left: LEFT, height: 0, flexDirection: 'row', alignItems: 'center' },
  limitLine: { width: STICK + 4, height: 2, marginLeft: -2 },
  limitWord: { marginLeft: 4 },
});

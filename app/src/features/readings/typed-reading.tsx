import type { ReactElement, ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import type { MeasuringPoint } from '@oilcan/core/plant';
import type { ReadingLevel } from '@oilcan/core/readings';
import { now, useSettings } from '../../data/store';
import { ReadingScale } from '../../ui/reading-scale';
import { usePalette } from '../../ui/use-palette';
import { Words } from '../../ui/words';
import { sayMoment } from '../../words/dates';
import { levelWords } from '../../words/work-words';
import { readNumber } from '../../words/read-number';

interface Props {
  readonly text: string;
  readonly unit: string;
  readonly level: ReadingLevel;
  /** Undefined for a number that is no reading. */
  readonly point: MeasuringPoint | undefined;
  readonly children?: ReactNode;
}

/** The value being typed, large, beside its scale and with the last one under it. */
export function TypedReading({ text, unit, level, point, children }: Props): ReactElement {
  const palette = usePalette();
  const settings = useSettings();
  const last = point?.latest.at(-1);
  return (
    <View style={sheet.body}>
      {point === undefined ? null : <ReadingScale point={point} value={readNumber(text)} height={170} />}
      <View style={sheet.value}>
        <Words as="figure" live>
          {text === '' ? '–' : text}
        </Words>
        <Words as="heading" soft>
          {unit}
        </Words>
        {last === undefined || settings === undefined ? null : (
          <Words>
            Last {last.value.toFixed(point?.decimals ?? 0)} {unit},{' '}
            {sayMoment(last.at, now(), settings.zone, settings.language)}
          </Words>
        )}
        {level === 'normal' ? null : (
          <Words as="label" color={palette.faulty} live>
            {levelWords[level]}
          </Words>
        )}
        {children}
      </View>
    </View>
  );
}

const sheet = StyleSheet.create({
  body: { flexDirection: 'row', gap: 12, paddingVertical: 8 },
  value: { flex: 1, minWidth: 0 },
});

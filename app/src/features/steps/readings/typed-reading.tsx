import { mdiChevronDown } from '@mdi/js';
import { useState, type ReactElement, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { unitsLike } from '@oilcan/core/kernel';
import type { MeasuringPoint } from '@oilcan/core/plant/plant';
import { changeOf, inDays, type ReadingLevel } from '@oilcan/core/steps/readings';
import { now, useSettings } from '../../../data/store/store';
import { Icon } from '../../../ui/theme/icon';
import { Choice, Choices } from '../../../ui/fields/choice';
import { Press } from '../../../ui/press/press';
import { ReadingScale } from '../../../ui/drawn/reading-scale';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { sayMoment } from '../../../words/dates';
import { sayChange } from '../../../words/changes';
import { levelWords } from '../../../words/work-words';

interface Props {
  readonly text: string;
  /** What was typed, in `unit`; null for no number. */
  readonly value: number | null;
  /** In which it is kept. */
  readonly unit: string;
  /** In which it is typed: that of the gauge at hand. */
  readonly typedIn: string;
  readonly onTypedIn: (unit: string) => void;
  readonly level: ReadingLevel;
  /** Undefined for a number that is no reading. */
  readonly point: MeasuringPoint | undefined;
  readonly children?: ReactNode;
}

/** The value being typed, large, beside its scale and with the last one under it. */
export function TypedReading({ text, value, unit, typedIn, onTypedIn, level, point, children }: Props): ReactElement {
  const palette = usePalette();
  const settings = useSettings();
  const last = point?.latest.at(-1);
  return (
    <View style={sheet.body}>
      {point === undefined ? null : <ReadingScale point={point} value={value} height={170} />}
      <View style={sheet.value}>
        <AppText as="figure" live>
          {text === '' ? '–' : text}
        </AppText>
        <UnitPress unit={unit} typedIn={typedIn} onTypedIn={onTypedIn} />
        {typedIn === unit || value === null ? null : (
          <AppText live>
            is {value} {unit}
          </AppText>
        )}
        {last === undefined || settings === undefined ? null : (
          <AppText>
            Last {last.value.toFixed(point?.decimals ?? 0)} {unit},{' '}
            {sayMoment(last.at, now(), settings.zone, settings.language)}
          </AppText>
        )}
        {level === 'normal' ? null : (
          <AppText as="label" color={palette.faulty} live>
            {levelWords[level]}
          </AppText>
        )}
        {point === undefined || value === null ? null : <TrendSaid point={point} value={value} />}
        {children}
      </View>
    </View>
  );
}

/** Whether the value goes on with a change of the last ones; nothing where they show none. */
function TrendSaid({ point, value }: { readonly point: MeasuringPoint; readonly value: number }): ReactElement | null {
  const [present] = useState(now);
  if (point.isMeter) return null;
  const change = changeOf(inDays([...point.latest, { at: present, value }]), point.limits);
  const sentences = sayChange(change, point);
  return sentences.length === 0 ? null : <AppText>{sentences.join(' ')}</AppText>;
}

/** The unit; a press shows the others in which the same can be read. */
function UnitPress({ unit, typedIn, onTypedIn }: Pick<Props, 'unit' | 'typedIn' | 'onTypedIn'>): ReactElement {
  const [isChoosing, setIsChoosing] = useState(false);
  const units = unitsLike(unit);
  if (units.length < 2) {
    return (
      <AppText as="heading" soft>
        {unit}
      </AppText>
    );
  }
  if (!isChoosing) {
    return (
      <Press label={`${typedIn}, another unit`} onPress={() => setIsChoosing(true)} style={sheet.unit}>
        <AppText as="heading" soft>
          {typedIn}
        </AppText>
        <Icon path={mdiChevronDown} size={20} />
      </Press>
    );
  }
  const choose = (chosen: string): void => {
    onTypedIn(chosen);
    setIsChoosing(false);
  };
  return (
    <Choices label="Unit of the gauge">
      {units.map((each) => (
        <Choice key={each} word={each} isChosen={each === typedIn} onPress={() => choose(each)} />
      ))}
    </Choices>
  );
}

const sheet = StyleSheet.create({
  // With very large text the value stands below its scale.
  body: { flexDirection: 'row', flexWrap: 'wrap', gap: 12, paddingVertical: 8 },
  value: { flexGrow: 1, flexShrink: 1, flexBasis: 110, minWidth: 0 },
  unit: { flexDirection: 'row', alignItems: 'center', gap: 4, alignSelf: 'flex-start' },
});

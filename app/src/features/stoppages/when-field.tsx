import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { inZone, latestWallTime, OilcanError, type Instant } from '@oilcan/core/kernel';
import { Field } from '../../ui/field';
import { Choice, Choices } from '../../ui/choice';
import { Words } from '../../ui/words';

/** A moment as it is chosen or typed. */
export interface When {
  /** One of those that were offered; null where it was typed. */
  readonly chosen: string | null;
  readonly text: string;
}

/** A moment that is likely, under a word; without a time for none, such as an end that has not come. */
export interface Likely {
  readonly key: string;
  readonly word: string;
  readonly at: Instant | null;
}

interface Props {
  readonly label: string;
  readonly likely: readonly Likely[];
  readonly value: When;
  readonly onChange: (value: When) => void;
  readonly error: string | null;
}

/** When something began or ended: one of the likely moments in one press, or typed. */
export function WhenField({ label, likely, value, onChange, error }: Props): ReactElement {
  return (
    <View style={sheet.field}>
      <Words as="label">{label}</Words>
      <Choices label={label}>
        {likely.map(({ key, word }) => (
          <Choice
            key={key}
            word={word}
            isChosen={value.chosen === key}
            onPress={() => onChange({ chosen: key, text: '' })}
          />
        ))}
      </Choices>
      <Field
        label={`${label}, by the clock`}
        hint="such as 7:40"
        value={value.text}
        onChange={(text) => onChange({ chosen: text === '' ? (likely[0]?.key ?? null) : null, text })}
        error={error}
      />
    </View>
  );
}

/** The moment that is meant; `unreadable` for what is no time. A time of day is the latest one before `notAfter`. */
export function readWhen(
  { chosen, text }: When,
  likely: readonly Likely[],
  notAfter: Instant,
  zone: string,
): Instant | null | 'unreadable' {
  const found = likely.find(({ key }) => key === chosen);
  if (found !== undefined) return found.at;
  try {
    return latestWallTime(text.replace('.', ':'), notAfter, zone);
  } catch (error) {
    if (error instanceof OilcanError) return 'unreadable';
    throw error;
  }
}

/** The time of day: `7:40`. */
export function clockTime(at: Instant, zone: string): string {
  return inZone(at, zone).toFormat('H:mm');
}

const sheet = StyleSheet.create({ field: { gap: 8 } });

import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { inZone, latestTyped, readMoment, type Instant, type Zone } from '@oilcan/core/kernel';
import { MomentInput } from '../../../forms/moment-field';
import { Choice, Choices } from '../../../ui/fields/choice';
import { AppText } from '../../../ui/theme/app-text';

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
  /** Whether it can be typed as well; not where it follows from something else. */
  readonly isByClock?: boolean;
  readonly present: Instant;
  /** Before this it was, where that is known to be over; null for the last such time today. */
  readonly before?: Instant | null;
  readonly zone: Zone;
  readonly language: string;
}

/** When something began or ended: one of the likely moments in one press, or typed. */
export function WhenField({
  label,
  likely,
  value,
  onChange,
  error,
  present,
  before = null,
  zone,
  language,
  isByClock = true,
}: Props): ReactElement {
  return (
    <View style={sheet.field}>
      <AppText as="label">{label}</AppText>
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
      {isByClock ? (
        <MomentInput
          label={`${label}, by the clock`}
          value={value.text}
          onChange={(text) => onChange({ chosen: text === '' ? (likely[0]?.key ?? null) : null, text })}
          present={present}
          zone={zone}
          language={language}
          {...(before === null ? {} : { readAs: (typed: string) => latestTyped(typed, before, zone) })}
          error={error}
        />
      ) : null}
    </View>
  );
}

/**
 * The moment that is meant; `unreadable` for what is no time, or has not come yet today.
 *
 * @param before before this it was, where that is known to be over; null for the last such time today
 */
export function readWhen(
  { chosen, text }: When,
  likely: readonly Likely[],
  {
    present,
    before = null,
    zone,
  }: { readonly present: Instant; readonly before?: Instant | null; readonly zone: string },
): Instant | null | 'unreadable' {
  const found = likely.find(({ key }) => key === chosen);
  if (found !== undefined) return found.at;
  if (before !== null) return latestTyped(text, before, zone) ?? 'unreadable';
  const read = readMoment(text, present, zone);
  return read.is === 'at' ? read.at : 'unreadable';
}

/** The time of day: `7:40`. */
export function clockTime(at: Instant, zone: string): string {
  return inZone(at, zone).toFormat('H:mm');
}

const sheet = StyleSheet.create({ field: { gap: 8 } });

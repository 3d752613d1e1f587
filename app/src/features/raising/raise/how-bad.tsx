import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import type { AssetCondition } from '@oilcan/core/plant/plant';
import type { Instant } from '@oilcan/core/kernel';
import { Choice, Choices } from '../../../ui/fields/choice';
import { AppText } from '../../../ui/theme/app-text';

/** How bad it is, as far as the reporter says. */
export interface HowBad {
  readonly condition: AssetCondition | null;
  readonly danger: boolean | null;
  readonly since: Instant | null;
}

export const notSaid: HowBad = { condition: null, danger: null, since: null };

const conditions: readonly (readonly [AssetCondition, string])[] = [
  ['running', 'It runs'],
  ['reduced', 'Not as it should'],
  ['stopped', 'It stands still'],
];

interface Props {
  readonly how: HowBad;
  readonly onChange: (how: HowBad) => void;
  readonly asks: { readonly condition: boolean; readonly danger: boolean };
}

/** Does it stand still, is somebody in danger: pressed again, it is not said. */
export function HowBadChoice({ how, onChange, asks }: Props): ReactElement {
  const { condition, danger } = how;
  return (
    <>
      {asks.condition ? (
        <View style={sheet.question}>
          <AppText as="label">Does it run?</AppText>
          <Choices label="Does it run?">
            {conditions.map(([value, word]) => (
              <Choice
                key={value}
                word={word}
                isChosen={condition === value}
                onPress={() => onChange({ ...how, condition: condition === value ? null : value })}
              />
            ))}
          </Choices>
        </View>
      ) : null}
      {asks.danger ? (
        <View style={sheet.question}>
          <AppText as="label">Is somebody in danger?</AppText>
          <Choices label="Is somebody in danger?">
            {([false, true] as const).map((value) => (
              <Choice
                key={String(value)}
                word={value ? 'Yes' : 'No'}
                isChosen={danger === value}
                onPress={() => onChange({ ...how, danger: danger === value ? null : value })}
              />
            ))}
          </Choices>
        </View>
      ) : null}
    </>
  );
}

const sheet = StyleSheet.create({ question: { gap: 6 } });

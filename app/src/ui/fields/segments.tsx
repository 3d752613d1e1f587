import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { SegmentedButtons } from 'react-native-paper';
import { Choice, Choices } from './choice';
import { CORNER, TARGET, useIsNarrow } from '../theme/theme';

interface Props<Value extends string> {
  /** What is chosen, for who does not see it. */
  readonly label: string;
  readonly value: Value;
  readonly choices: readonly (readonly [Value, string])[];
  readonly onChoose: (value: Value) => void;
}

/** One of a few, side by side; with very large text one under the other. */
export function Segments<Value extends string>({ label, value, choices, onChoose }: Props<Value>): ReactElement {
  const isNarrow = useIsNarrow();
  if (isNarrow) {
    return (
      <Choices label={label}>
        {choices.map(([each, word]) => (
          <Choice key={each} word={word} isChosen={each === value} onPress={() => onChoose(each)} />
        ))}
      </Choices>
    );
  }
  return (
    <View role="group" aria-label={label}>
      <SegmentedButtons
        value={value}
        onValueChange={(chosen) => onChoose(chosen as Value)}
        buttons={choices.map(([each, word]) => ({ value: each, label: word, showSelectedCheck: true, ...look }))}
      />
    </View>
  );
}

const sheet = StyleSheet.create({
  segment: { borderRadius: CORNER, minHeight: TARGET, justifyContent: 'center' },
  word: { ...({ whiteSpace: 'normal' } as object) },
});

const look = { style: sheet.segment, labelStyle: sheet.word };

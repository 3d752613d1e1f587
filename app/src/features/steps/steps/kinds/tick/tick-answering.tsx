import { mdiCheck } from '@mdi/js';
import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { Icon } from '../../../../../ui/theme/icon';
import { Press } from '../../../../../ui/press/press';
import { CORNER, RULE } from '../../../../../ui/theme/theme';
import { usePalette } from '../../../../../ui/theme/use-palette';
import type { AnsweringProps } from '../kind-answering';

/** The whole row is pressed, so that a glove meets it. */
export function TickAnswering({ step, answer, canAnswer, onAnswer, words }: AnsweringProps<'tick'>): ReactElement {
  const palette = usePalette();
  const isDone = answer !== null;
  return (
    <Press
      role="checkbox"
      checked={isDone}
      disabled={!canAnswer}
      label={step.text}
      onPress={() => onAnswer(isDone ? null : { type: 'tick' })}
      style={sheet.row}
    >
      {words}
      <View
        style={[
          sheet.box,
          {
            borderColor: isDone ? palette.green : palette.edge,
            backgroundColor: isDone ? palette.green : palette.card,
          },
        ]}
      >
        {isDone ? <Icon path={mdiCheck} size={26} color={palette.onGreen} /> : null}
      </View>
    </Press>
  );
}

const sheet = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: 12, minHeight: 64 },
  box: {
    width: 48,
    height: 48,
    borderWidth: RULE,
    borderRadius: CORNER,
    alignItems: 'center',
    justifyContent: 'center',
  },
});

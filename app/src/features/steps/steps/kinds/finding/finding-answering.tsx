import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import type { AnswerOf } from '@oilcan/core/steps/steps';
import { FindingShape, type FindingState } from '../../../../../ui/drawn/finding-shape';
import { Press } from '../../../../../ui/press/press';
import { CORNER, GAP, RULE } from '../../../../../ui/theme/theme';
import { usePalette } from '../../../../../ui/theme/use-palette';
import { AppText } from '../../../../../ui/theme/app-text';
import type { AnsweringProps } from '../kind-answering';
import { findingWords } from './finding-words';

const good: AnswerOf<'finding'> = { type: 'finding', asFound: 'good', asLeft: null };
const faulty: AnswerOf<'finding'> = { type: 'finding', asFound: 'faulty', asLeft: 'faulty' };
const putRight: AnswerOf<'finding'> = { type: 'finding', asFound: 'faulty', asLeft: 'putRight' };

/** As found: good or faulty. Where it was faulty, one more press says that it was put right. */
export function FindingAnswering({
  step,
  answer,
  canAnswer,
  onAnswer,
  words,
}: AnsweringProps<'finding'>): ReactElement {
  const isFaulty = answer?.asFound === 'faulty';
  const isPutRight = answer?.asLeft === 'putRight';
  return (
    <View style={sheet.stacked}>
      {words}
      <View style={sheet.buttons}>
        <View style={sheet.asFound} role="radiogroup" aria-label={`${step.text}, as found`}>
          <FindingButton
            state="good"
            isGiven={answer?.asFound === 'good'}
            disabled={!canAnswer}
            onPress={() => onAnswer(answer?.asFound === 'good' ? null : good)}
          />
          <FindingButton
            state="faulty"
            isGiven={isFaulty}
            isStill={isFaulty && !isPutRight}
            disabled={!canAnswer}
            onPress={() => onAnswer(isFaulty ? null : faulty)}
          />
        </View>
        {isFaulty ? (
          <FindingButton
            role="checkbox"
            state="putRight"
            isGiven={isPutRight}
            disabled={!canAnswer}
            onPress={() => onAnswer(isPutRight ? faulty : putRight)}
          />
        ) : null}
      </View>
    </View>
  );
}

interface FindingButtonProps {
  readonly state: FindingState;
  readonly isGiven: boolean;
  /** Whether it is faulty still. */
  readonly isStill?: boolean;
  readonly role?: 'radio' | 'checkbox';
  readonly disabled: boolean;
  readonly onPress: () => void;
}

function FindingButton({
  state,
  isGiven,
  isStill = false,
  role = 'radio',
  disabled,
  onPress,
}: FindingButtonProps): ReactElement {
  const palette = usePalette();
  const color = isStill ? palette.faulty : palette.ink;
  return (
    <Press
      role={role}
      checked={isGiven}
      disabled={disabled}
      onPress={onPress}
      style={[
        sheet.button,
        {
          borderColor: isGiven ? color : palette.edge,
          backgroundColor: isGiven ? palette.chosen : palette.card,
        },
      ]}
    >
      <FindingShape state={state} color={color} />
      <AppText as="label" color={color}>
        {findingWords[state]}
      </AppText>
    </Press>
  );
}

const sheet = StyleSheet.create({
  stacked: { gap: 8, paddingVertical: 4 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: GAP },
  asFound: { flexDirection: 'row', flexWrap: 'wrap', flexShrink: 1, gap: GAP },
  button: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 6,
    paddingHorizontal: 14,
    borderWidth: RULE,
    borderRadius: CORNER,
  },
});

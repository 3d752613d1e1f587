import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { Choice, Choices } from '../../../../../ui/fields/choice';
import type { AnsweringProps } from '../kind-answering';

export function ChoiceAnswering({
  step,
  question,
  answer,
  canAnswer,
  onAnswer,
  words,
}: AnsweringProps<'choice'>): ReactElement {
  const chosen = answer?.chosen ?? [];
  const press = (key: string): void => {
    if (!canAnswer) return;
    const others = question.isSeveral ? chosen.filter((each) => each !== key) : [];
    const wanted = chosen.includes(key) ? others : [...others, key];
    const inOrder = question.options.map((option) => option.key).filter((each) => wanted.includes(each));
    onAnswer(inOrder.length === 0 ? null : { type: 'choice', chosen: inOrder });
  };
  return (
    <View style={sheet.stacked}>
      {words}
      <Choices label={step.text} isMany={question.isSeveral}>
        {question.options.map((option) => (
          <Choice
            key={option.key}
            word={option.words}
            isChosen={chosen.includes(option.key)}
            isMany={question.isSeveral}
            onPress={() => press(option.key)}
          />
        ))}
      </Choices>
    </View>
  );
}

const sheet = StyleSheet.create({ stacked: { gap: 8, paddingVertical: 4 } });

import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { counted } from '../../words/work-words';
import { BottomSheet } from '../../ui/bottom-sheet';
import { Button, Choice } from '../../ui/press';
import { Words } from '../../ui/words';
import { everything, isNarrowed, toggled, type AspectChoices, type Narrowing } from './narrowing';

interface Props {
  readonly among: readonly AspectChoices[];
  readonly narrowing: Narrowing;
  readonly left: number;
  readonly onChange: (narrowing: Narrowing) => void;
  readonly onClose: () => void;
}

/** Which work the list shows. Several values of one aspect add up; several aspects narrow one another. */
export function NarrowSheet({ among, narrowing, left, onChange, onClose }: Props): ReactElement {
  return (
    <BottomSheet
      title="Narrow the list"
      onClose={onClose}
      foot={
        <>
          {isNarrowed(narrowing) ? <Button word="Show all again" onPress={() => onChange(everything)} /> : null}
          <Button main word={`Show ${counted(left, 'job', 'jobs')}`} onPress={onClose} />
        </>
      }
    >
      {among.length === 0 ? <Words>All of your work is of one kind: there is nothing to narrow.</Words> : null}
      {among.map(({ aspect, word, choices }) => (
        <View key={aspect} role="group" aria-label={word} style={sheet.aspect}>
          <Words as="label">{word}</Words>
          <View style={sheet.choices}>
            {choices.map((choice) => (
              <Choice
                key={choice.value}
                word={`${choice.word} ${choice.count}`}
                isMany
                isChosen={narrowing[aspect].includes(choice.value)}
                onPress={() => onChange(toggled(narrowing, aspect, choice.value))}
              />
            ))}
          </View>
        </View>
      ))}
      <Words soft>
        The list is sorted by what should be done first. What is needed now stands at the top, late or not. The rest
        goes by urgency, and being late counts as one urgency more; then by whether the machine stands still or runs
        reduced, how critical it is, and when the work is due.
      </Words>
    </BottomSheet>
  );
}

const sheet = StyleSheet.create({
  aspect: { gap: 6 },
  choices: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});

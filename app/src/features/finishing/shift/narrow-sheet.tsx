import { useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { counted } from '../../../words/work-words';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Field } from '../../../ui/fields/field';
import { Choice, Choices } from '../../../ui/fields/choice';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { everything, isNarrowed, toggled, type AspectChoices } from './narrowing';
import { orderWords } from './order-words';
import { shiftOrders, type Shown } from './shift-list';
import { peekKeptTable } from '../../../ui/state/kept-tables';
import { forgetView, keepView, showsAll, useKeptViews, WORK_TABLE } from './use-narrowing';

interface Props {
  readonly among: readonly AspectChoices[];
  readonly shown: Shown;
  readonly left: number;
  readonly onChange: (shown: Shown) => void;
  readonly onClose: () => void;
}

/** Which work the list shows. Several values of one aspect add up; several aspects narrow one another. */
export function NarrowSheet({ among, shown, left, onChange, onClose }: Props): ReactElement {
  const { narrowing, order } = shown;
  return (
    <BottomSheet
      title="Narrow the list"
      onClose={onClose}
      foot={
        <>
          {isNarrowed(narrowing) ? (
            <Button word="Show all again" onPress={() => onChange({ ...shown, narrowing: everything })} />
          ) : null}
          <Button rank="primary" word={`Show ${counted(left, 'job', 'jobs')}`} onPress={onClose} />
        </>
      }
    >
      {among.length === 0 ? <AppText>All of your work is of one kind: there is nothing to narrow.</AppText> : null}
      {among.map(({ aspect, word, choices }) => (
        <View key={aspect} role="group" aria-label={word} style={sheet.aspect}>
          <AppText as="label">{word}</AppText>
          <View style={sheet.choices}>
            {choices.map((choice) => (
              <Choice
                key={choice.value}
                word={`${choice.word} ${choice.count}`}
                isMany
                isChosen={narrowing[aspect].includes(choice.value)}
                onPress={() => onChange({ ...shown, narrowing: toggled(narrowing, aspect, choice.value) })}
              />
            ))}
          </View>
        </View>
      ))}
      <View style={sheet.aspect}>
        <AppText as="label">Order</AppText>
        <Choices label="Order">
          {shiftOrders.map((each) => (
            <Choice
              key={each}
              word={orderWords[each]}
              isChosen={order === each}
              onPress={() => onChange({ ...shown, order: each })}
            />
          ))}
        </Choices>
      </View>
      <KeepView shown={shown} />
      <AppText soft>
        What comes first: what is needed now stands at the top, late or not. The rest goes by urgency, and being late
        counts as one urgency more; then by whether the machine stands still or runs reduced, how critical it is, and
        when the work is due.
      </AppText>
    </BottomSheet>
  );
}

/** Keeps what the list is narrowed to under a name, and lets go of what was kept. */
function KeepView({ shown }: { readonly shown: Shown }): ReactElement | null {
  const { value: views } = useKeptViews();
  const [name, setName] = useState('');
  const mayKeep = !showsAll(shown) || shown.order !== 'first' || peekKeptTable(WORK_TABLE) !== null;
  if (!mayKeep && views.length === 0) return null;
  const keep = (): void => {
    if (name.trim() === '') return;
    keepView(name.trim(), shown);
    setName('');
  };
  return (
    <View style={sheet.aspect}>
      <AppText as="label">My views</AppText>
      {mayKeep ? (
        <View style={sheet.name}>
          <View style={sheet.field}>
            <Field label="Keep this under a name" value={name} onChange={setName} onEnter={keep} />
          </View>
          <Button
            word="Keep"
            label="Keep this view"
            onPress={keep}
            cannot={name.trim() === '' && 'Type a name for it first.'}
          />
        </View>
      ) : null}
      <View style={sheet.choices}>
        {views.map((view) => (
          <Button key={view.name} word={`Forget “${view.name}”`} onPress={() => forgetView(view.name)} />
        ))}
      </View>
    </View>
  );
}

const sheet = StyleSheet.create({
  aspect: { gap: 6 },
  choices: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  name: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, alignItems: 'center' },
  field: { flexGrow: 1, flexShrink: 1, flexBasis: 180 },
});

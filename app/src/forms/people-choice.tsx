import { useState, type ReactElement, type ReactNode } from 'react';
import { View } from 'react-native';
import type { PersonId } from '@oilcan/core/kernel';
import { wantedWords, wordsOf } from '@oilcan/core/overview/find';
import type { Person } from '@oilcan/core/plant/people';
import type { PeopleToChoose } from '../data/queries/use-people-of';
import { Choice, Choices } from '../ui/fields/choice';
import { Button } from '../ui/press/press';
import { FindInput } from '../ui/fields/find-input';
import { AppText } from '../ui/theme/app-text';

/** So many of the others are shown; who is not among them is found by name. */
const MOST_OTHERS = 8;

type Some = Pick<Person, 'id' | 'name'>;

interface Props extends PeopleToChoose {
  readonly label: string;
  /** Whose label stands elsewhere already. */
  readonly isLabelHidden?: boolean;
  readonly chosen: readonly PersonId[];
  readonly onPress: (id: PersonId) => void;
  /** One of them is chosen, or one press does it. */
  readonly isOne?: boolean;
  /** What a person is called here, where it is another than the name. */
  readonly wordOf?: (person: Some) => string;
  /** What else can be chosen beside people, such as crews. */
  readonly children?: ReactNode;
}

/** People, of whom one or several are chosen: the likely ones at once, all others by name. Every form that asks for somebody has this one. */
export function PeopleChoice({
  label,
  isLabelHidden = false,
  likely,
  others,
  chosen,
  onPress,
  isOne = false,
  wordOf = ({ name }) => name,
  children,
}: Props): ReactElement {
  const [areAllShown, setAreAllShown] = useState(false);
  const [find, setFind] = useState('');
  const fitting = others.filter((person) => !chosen.includes(person.id) && isCalledSo(person, find));
  const shown = [
    ...likely,
    ...others.filter(({ id }) => chosen.includes(id)),
    ...(areAllShown ? fitting.slice(0, MOST_OTHERS) : []),
  ];
  return (
    <View style={{ gap: 6 }}>
      {isLabelHidden ? null : <AppText as="label">{label}</AppText>}
      <Choices label={label} isMany={!isOne}>
        {shown.map((person) => (
          <Choice
            key={person.id}
            isMany={!isOne}
            word={wordOf(person)}
            isChosen={chosen.includes(person.id)}
            onPress={() => onPress(person.id)}
          />
        ))}
        {children}
      </Choices>
      {areAllShown || others.length === 0 ? null : (
        <Button
          rank="quiet"
          word="Somebody else"
          label={`${label}: somebody else`}
          onPress={() => setAreAllShown(true)}
        />
      )}
      {areAllShown && others.length > MOST_OTHERS ? (
        <>
          <FindInput label={`Find by name among ${others.length}`} value={find} onChange={setFind} />
          {fitting.length === 0 ? <AppText live>Nobody is called “{find.trim()}”.</AppText> : null}
        </>
      ) : null}
    </View>
  );
}

/** Every word that was typed begins one of the name. */
function isCalledSo({ name }: Some, typed: string): boolean {
  const words = wordsOf(name);
  return wantedWords(typed).every((wanted) => words.some((word) => word.startsWith(wanted)));
}

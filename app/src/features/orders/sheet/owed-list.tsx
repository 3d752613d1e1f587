import { mdiChevronRight } from '@mdi/js';
import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { mustBeGiven, type Owed } from '@oilcan/core/finishing/lifecycle';
import { peekRow } from '../../../data/store/store';
import { useMe } from '../../../data/store/use-me';
import { Icon } from '../../../ui/theme/icon';
import { Press } from '../../../ui/press/press';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { counted, owedWords } from '../../../words/work-words';
import { List } from '../../../ui/layout/list';

/** So many open steps are named; of more only how many. */
const MOST_STEPS = 6;

interface Props {
  readonly owed: readonly Owed[];
  /** Takes the person to where something owed is given. */
  readonly onCorrect: (owed: Owed) => void;
}

/** What is still owed, each line leading to where it is given. Nobody reads hundreds of open steps: the first are named. */
export function OwedList({ owed, onCorrect }: Props): ReactElement {
  const me = useMe();
  const nameOf = (id: string): string => peekRow('people', id)?.name ?? 'a mate';
  if (owed.length === 0) return <AppText>Nothing is missing.</AppText>;
  const steps = owed.filter(({ what }) => what === 'step');
  const must = mustBeGiven(owed).length;
  const named = steps.slice(0, steps.length > MOST_STEPS ? MOST_STEPS - 1 : MOST_STEPS);
  const [next] = steps.slice(named.length);
  const others = owed.filter(({ what }) => what !== 'step');
  return (
    <View style={sheet.list}>
      <AppText as="label" level={3}>
        {must === 0 ? 'Nothing is missing' : `${counted(must, 'thing is', 'things are')} still missing`}
      </AppText>
      <List label="What is missing">
        {named.map((each, index) => (
          <OwedLine key={index} owed={each} words={owedWords(each, me, nameOf)} onPress={() => onCorrect(each)} />
        ))}
        {next === undefined ? null : (
          <OwedLine
            owed={next}
            words={`and ${steps.length - named.length} more steps`}
            onPress={() => onCorrect(next)}
          />
        )}
        {others.map((each, index) => (
          <OwedLine
            key={`other ${index}`}
            owed={each}
            words={owedWords(each, me, nameOf)}
            onPress={() => onCorrect(each)}
          />
        ))}
      </List>
    </View>
  );
}

interface OwedLineProps {
  readonly owed: Owed;
  readonly words: string;
  readonly onPress: () => void;
}

function OwedLine({ owed: { demand }, words, onPress }: OwedLineProps): ReactElement {
  const palette = usePalette();
  return (
    <Press onPress={onPress} style={[sheet.line, { borderColor: palette.line }]}>
      <AppText style={sheet.words}>{words}</AppText>
      {demand === 'asked' ? (
        <AppText as="mark" soft>
          can be left out
        </AppText>
      ) : null}
      <Icon path={mdiChevronRight} />
    </Press>
  );
}

const sheet = StyleSheet.create({
  list: { paddingTop: 8 },
  line: { flexDirection: 'row', alignItems: 'center', gap: 8, borderBottomWidth: 1, paddingVertical: 8 },
  words: { flex: 1 },
});

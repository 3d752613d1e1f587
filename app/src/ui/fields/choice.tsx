import { createContext, useContext, type ReactElement, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { Chip } from 'react-native-paper';
import { mdiCheckboxBlankOutline, mdiCheckboxMarked } from '@mdi/js';
import { chooseByArrow } from '../press/choose-by-arrow';
import { CORNER, RULE, TARGET } from '../theme/theme';
import { textStyles } from '../theme/type';
import { usePalette } from '../theme/use-palette';

/** Around choices that are joined into one: their edges lie on one another. */
const IsJoined = createContext(false);

interface ChoiceProps {
  readonly word: string;
  readonly isChosen: boolean;
  readonly onPress: () => void;
  /** Several of them may be chosen. */
  readonly isMany?: boolean;
}

/**
 * One of several, of which one is chosen, or many. What is chosen has a thick lower edge, or a ticked box where many may be: no key
 * looks like it.
 */
export function Choice({ word, isChosen, onPress, isMany = false }: ChoiceProps): ReactElement {
  const palette = usePalette();
  const isJoined = useContext(IsJoined);
  return (
    <Chip
      mode="outlined"
      accessibilityRole={isMany ? 'checkbox' : 'radio'}
      selected={isChosen}
      showSelectedCheck={false}
      {...(isMany ? { icon: isChosen ? mdiCheckboxMarked : mdiCheckboxBlankOutline } : {})}
      onPress={onPress}
      style={[
        sheet.choice,
        isJoined && sheet.joined,
        { borderColor: palette.edge, backgroundColor: isChosen ? palette.chosen : palette.card },
        isChosen && !isMany && { borderBottomColor: palette.green, borderBottomWidth: CHOSEN_EDGE },
      ]}
      textStyle={[
        sheet.word,
        isMany ? sheet.afterBox : sheet.centred,
        { color: palette.ink, fontWeight: isChosen ? '600' : '500' },
        isChosen && !isMany && sheet.aboveEdge,
      ]}
    >
      {word}
    </Chip>
  );
}

interface ChoicesProps {
  readonly label: string;
  /** Several of them may be chosen. */
  readonly isMany?: boolean;
  readonly children: ReactNode;
}

/** Choices joined side by side, onto more lines where they do not fit. Of those of which one is chosen the arrows choose the next. */
export function Choices({ label, isMany = false, children }: ChoicesProps): ReactElement {
  return (
    <View
      role={isMany ? 'group' : 'radiogroup'}
      aria-label={label}
      style={sheet.choices}
      {...(isMany ? {} : { onKeyDown: chooseByArrow })}
    >
      <IsJoined value>{children}</IsJoined>
    </View>
  );
}

const CHOSEN_EDGE = 4;

const sheet = StyleSheet.create({
  choice: { borderWidth: RULE, borderRadius: CORNER, minHeight: TARGET, maxWidth: '100%', justifyContent: 'center' },
  // The edges of neighbours lie on one another.
  joined: { flexGrow: 1, borderRadius: 0, marginRight: -RULE, marginBottom: -RULE },
  // As high as the chip: Paper leaves what is over below.
  word: {
    flexShrink: 1,
    marginHorizontal: 12,
    marginVertical: (TARGET - textStyles.label.lineHeight) / 2 - RULE,
    ...({ whiteSpace: 'normal' } as object),
  },
  centred: { flexGrow: 1, textAlign: 'center' },
  afterBox: { flexGrow: 1 },
  aboveEdge: { marginBottom: (TARGET - textStyles.label.lineHeight) / 2 - CHOSEN_EDGE },
  choices: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignSelf: 'flex-start',
    maxWidth: '100%',
    paddingRight: RULE,
    paddingBottom: RULE,
  },
});

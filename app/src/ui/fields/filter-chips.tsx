import { createContext, useContext, type ReactElement, type ReactNode } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Chip } from 'react-native-paper';
import { chooseByArrow } from '../press/choose-by-arrow';
import { GAP, RULE, TARGET, useIsNarrow } from '../theme/theme';
import { textStyles } from '../theme/type';
import { usePalette } from '../theme/use-palette';

const IsOneOf = createContext(false);

interface FilterChipsProps {
  /** What they narrow. */
  readonly label: string;
  /** Always one of them holds: pressing another lets go of it. */
  readonly isOneOf?: boolean;
  readonly children: ReactNode;
}

/** What narrows a list: round chips on one line, which scrolls where they do not fit. */
export function FilterChips({ label, isOneOf = false, children }: FilterChipsProps): ReactElement {
  // With very large text hardly one fits beside another: then they stand under one another.
  const isNarrow = useIsNarrow();
  const chips = (
    <View
      role={isOneOf ? 'radiogroup' : 'group'}
      aria-label={label}
      style={[sheet.chips, isNarrow && sheet.wrapped]}
      {...(isOneOf ? { onKeyDown: chooseByArrow } : {})}
    >
      <IsOneOf value={isOneOf}>{children}</IsOneOf>
    </View>
  );
  if (isNarrow) return chips;
  return (
    <ScrollView horizontal showsHorizontalScrollIndicator={false} style={sheet.line}>
      {chips}
    </ScrollView>
  );
}

interface FilterChipProps {
  readonly word: string;
  /** How many rows it leaves. */
  readonly count?: number;
  readonly isOn?: boolean;
  /** It opens more to narrow by, and is a key. */
  readonly opens?: boolean;
  readonly onPress: () => void;
  readonly icon?: string;
}

/** One of them; pressed again it narrows no more. */
export function FilterChip({ word, count, isOn = false, opens = false, onPress, icon }: FilterChipProps): ReactElement {
  const palette = usePalette();
  const isOneOf = useContext(IsOneOf);
  const color = isOn ? palette.paper : palette.ink;
  return (
    <Chip
      mode="outlined"
      accessibilityRole={opens ? 'button' : isOneOf ? 'radio' : 'checkbox'}
      {...(opens ? {} : { selected: isOn })}
      selectedColor={color}
      showSelectedCheck={false}
      {...(icon === undefined ? {} : { icon })}
      onPress={onPress}
      style={[
        sheet.chip,
        { borderColor: isOn ? palette.ink : palette.edge, backgroundColor: isOn ? palette.ink : palette.card },
      ]}
      textStyle={[sheet.word, { color }]}
    >
      {count === undefined ? word : `${word} ${count}`}
    </Chip>
  );
}

const sheet = StyleSheet.create({
  // What scrolls sideways does not grow downward.
  line: { flexGrow: 0, maxWidth: '100%' },
  chips: { flexDirection: 'row', gap: GAP, paddingVertical: 2 },
  wrapped: { flexWrap: 'wrap' },
  chip: { borderWidth: RULE, borderRadius: TARGET / 2, minHeight: TARGET, justifyContent: 'center' },
  word: {
    marginHorizontal: 12,
    marginVertical: (TARGET - textStyles.label.lineHeight) / 2 - RULE,
    ...({ whiteSpace: 'nowrap' } as object),
  },
});

import type { ReactElement } from 'react';
import { StyleSheet } from 'react-native';
import { Searchbar } from 'react-native-paper';
import { CORNER, TARGET } from './theme';
import { usePalette } from './use-palette';

interface Props {
  /** What is looked for, and among what. */
  readonly label: string;
  readonly value: string;
  readonly onChange: (words: string) => void;
  readonly onEnter?: () => void;
}

/** A field to look for something with, which is emptied in one press. */
export function FindField({ label, value, onChange, onEnter }: Props): ReactElement {
  const palette = usePalette();
  return (
    <Searchbar
      role="searchbox"
      aria-label={label}
      placeholder={label}
      placeholderTextColor={palette.inkSoft}
      value={value}
      onChangeText={onChange}
      clearAccessibilityLabel="Look for nothing"
      autoCapitalize="none"
      autoComplete="off"
      {...(onEnter === undefined ? {} : { onSubmitEditing: onEnter })}
      style={[sheet.bar, { borderColor: palette.edge, backgroundColor: palette.card }]}
      inputStyle={[sheet.input, { color: palette.ink }]}
    />
  );
}

const sheet = StyleSheet.create({
  bar: { borderWidth: 1, borderRadius: CORNER, height: TARGET },
  input: { minHeight: TARGET - 2, paddingLeft: 0, minWidth: 0 },
});

import type { ReactElement } from 'react';
import { StyleSheet } from 'react-native';
import { Icon } from '../../../../ui/theme/icon';
import { Press } from '../../../../ui/press/press';
import { CORNER, RULE } from '../../../../ui/theme/theme';
import { usePalette } from '../../../../ui/theme/use-palette';
import { AppText } from '../../../../ui/theme/app-text';

interface Props {
  readonly word: string;
  /** What a screen reader says, where the word alone is not enough. */
  readonly label: string;
  readonly icon?: string;
  readonly isGiven: boolean;
  readonly disabled: boolean;
  readonly onPress: () => void;
}

/** Opens what a step is answered in, and shows the answer. */
export function ValueButton({ word, label, icon, isGiven, disabled, onPress }: Props): ReactElement {
  const palette = usePalette();
  return (
    <Press
      disabled={disabled}
      onPress={onPress}
      label={label}
      style={[sheet.value, { borderColor: isGiven ? palette.green : palette.edge, backgroundColor: palette.card }]}
    >
      {icon === undefined ? null : <Icon path={icon} size={20} />}
      <AppText as="label">{word}</AppText>
    </Press>
  );
}

const sheet = StyleSheet.create({
  value: {
    flexDirection: 'row',
    alignItems: 'center',
    justifyContent: 'center',
    gap: 6,
    borderWidth: RULE,
    borderRadius: CORNER,
    paddingHorizontal: 14,
    maxWidth: '100%',
  },
});

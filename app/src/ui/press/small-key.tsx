import type { ReactElement } from 'react';
import { StyleSheet } from 'react-native';
import { Icon } from '../theme/icon';
import { Press } from './press';
import { CORNER, RULE } from '../theme/theme';
import { usePalette } from '../theme/use-palette';
import { AppText } from '../theme/app-text';

interface Props {
  readonly icon: string;
  readonly word: string;
  /** What it does, where the word alone does not say it. */
  readonly label?: string;
  readonly onPress: () => void;
  readonly disabled?: boolean;
  readonly isRepeatable?: boolean;
}

/** A key with its sign above its word, so that several stand side by side on a phone. */
export function SmallKey({
  icon,
  word,
  label = word,
  onPress,
  disabled = false,
  isRepeatable = false,
}: Props): ReactElement {
  const palette = usePalette();
  return (
    <Press
      onPress={onPress}
      label={label}
      disabled={disabled}
      isRepeatable={isRepeatable}
      style={[sheet.key, { borderColor: palette.edge, backgroundColor: palette.card }, disabled && sheet.off]}
    >
      <Icon path={icon} />
      <AppText as="mark" lines={2} style={sheet.word}>
        {word}
      </AppText>
    </Press>
  );
}

const sheet = StyleSheet.create({
  key: {
    flexGrow: 1,
    maxWidth: 120,
    alignItems: 'center',
    borderWidth: RULE,
    borderRadius: CORNER,
    paddingHorizontal: 6,
  },
  word: { textAlign: 'center' },
  off: { opacity: 0.45 },
});

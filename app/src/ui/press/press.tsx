import type { ReactElement, ReactNode } from 'react';
import { StyleSheet, type StyleProp, type ViewStyle } from 'react-native';
import { Button as PaperButton, IconButton } from 'react-native-paper';
import { Icon } from '../theme/icon';
import { CORNER, GAP, RULE, TARGET } from '../theme/theme';
import Touchable, { Cannot, Repeatable } from './touchable';
import { textStyles } from '../theme/type';
import { usePalette } from '../theme/use-palette';

interface PressProps {
  readonly onPress: () => void;
  /** What a screen reader says; the visible words must be part of it. */
  readonly label?: string;
  /** Where a link leads (`LinkPress`). */
  readonly href?: string;
  readonly role?: 'button' | 'link' | 'checkbox' | 'radio' | 'tab';
  readonly checked?: boolean;
  /** Whether what it folds is to be seen. */
  readonly isExpanded?: boolean;
  /** It leads to where the person is already. */
  readonly isHere?: boolean;
  readonly disabled?: boolean;
  readonly style?: StyleProp<ViewStyle>;
  readonly children: ReactNode;
  readonly testID?: string;
  /** Pressed many times in a row on purpose; anything else is done once by a double press. */
  readonly isRepeatable?: boolean;
}

/** Anything that is pressed: large enough for a glove, and shaded while it is held. */
export function Press({
  onPress,
  label,
  href,
  role = 'button',
  checked,
  isExpanded,
  isHere = false,
  disabled = false,
  style,
  children,
  testID,
  isRepeatable = false,
}: PressProps): ReactElement {
  return (
    <Touchable
      role={role}
      isRepeatable={isRepeatable}
      onPress={onPress}
      disabled={disabled}
      {...(href === undefined ? {} : { href })}
      {...(label === undefined ? {} : { 'aria-label': label })}
      {...(checked === undefined ? {} : { 'aria-checked': checked })}
      {...(isExpanded === undefined ? {} : { 'aria-expanded': isExpanded })}
      {...(isHere ? { 'aria-current': role === 'link' ? 'page' : true } : {})}
      {...(testID === undefined ? {} : { testID })}
      style={[sheet.press, style]}
    >
      <>{children}</>
    </Touchable>
  );
}

/**
 * The ranks of keys. `primary`: the one that the view is for, filled, and only one in sight. `secondary`: outlined. `quiet`: words
 * with an icon. `final`: what cannot be undone, dashed, apart from the others, and asked about.
 */
type Rank = 'primary' | 'secondary' | 'quiet' | 'final';

interface ButtonProps {
  readonly word: string;
  readonly onPress: () => void;
  readonly icon?: string;
  /** How much it is looked for (`docs/INTERFACE.md`): outlined unless it says otherwise. */
  readonly rank?: Rank;
  /** Why it cannot be pressed yet, in a sentence that says what to do first. */
  readonly cannot?: string | false | null;
  readonly label?: string;
  readonly style?: StyleProp<ViewStyle>;
  /** For what is held instead of pressed. */
  readonly onPressIn?: () => void;
  readonly onPressOut?: () => void;
  readonly isRepeatable?: boolean;
}

/** A key with its word. */
export function Button({
  word,
  onPress,
  icon,
  rank = 'secondary',
  cannot = null,
  label,
  style,
  onPressIn,
  onPressOut,
  isRepeatable = false,
}: ButtonProps): ReactElement {
  const palette = usePalette();
  const why = cannot === false ? null : cannot;
  const isPrimary = rank === 'primary';
  const isQuiet = rank === 'quiet';
  const button = (
    <PaperButton
      mode={isPrimary ? 'contained' : isQuiet ? 'text' : 'outlined'}
      onPress={onPress}
      {...(onPressIn === undefined ? {} : { onPressIn })}
      {...(onPressOut === undefined ? {} : { onPressOut })}
      {...(icon === undefined ? {} : { icon: ({ color }) => <Icon path={icon} color={color} size={20} /> })}
      {...(label === undefined ? {} : { accessibilityLabel: label })}
      buttonColor={isPrimary ? palette.green : isQuiet ? 'transparent' : palette.card}
      textColor={isPrimary ? palette.onGreen : isQuiet ? palette.green : palette.ink}
      style={[
        sheet.button,
        isQuiet ? sheet.quiet : { borderColor: isPrimary ? palette.green : palette.edge },
        rank === 'final' && [sheet.final, { borderColor: palette.ink, backgroundColor: palette.paper }],
        why !== null && sheet.disabled,
        style,
      ]}
      contentStyle={sheet.inButton}
      labelStyle={[
        sheet.word,
        isQuiet && sheet.quietWord,
        icon !== undefined && (isQuiet ? sheet.afterQuietIcon : sheet.afterIcon),
        isPrimary ? textStyles.heading : textStyles.label,
      ]}
    >
      {word}
    </PaperButton>
  );
  const key = why === null ? button : <Cannot value={why}>{button}</Cannot>;
  return isRepeatable ? <Repeatable value>{key}</Repeatable> : key;
}

interface IconPressProps {
  /** A constant of `@mdi/js`. */
  readonly icon: string;
  /** What it does: there is no word beside it. */
  readonly label: string;
  readonly onPress: () => void;
  readonly style?: StyleProp<ViewStyle>;
}

/** A button of the few icons that everybody knows without a word: close, back, me. */
export function IconPress({ icon, label, onPress, style }: IconPressProps): ReactElement {
  const palette = usePalette();
  return (
    <IconButton
      icon={icon}
      accessibilityLabel={label}
      iconColor={palette.ink}
      size={22}
      onPress={onPress}
      style={[sheet.icon, style]}
    />
  );
}

const sheet = StyleSheet.create({
  press: { minHeight: TARGET, minWidth: TARGET, justifyContent: 'center' },
  button: { borderWidth: RULE, borderRadius: CORNER, minHeight: TARGET, maxWidth: '100%', justifyContent: 'center' },
  icon: { width: TARGET, height: TARGET, margin: 0, borderRadius: CORNER },
  disabled: { opacity: 0.45 },
  // What is pressed lies within the border.
  inButton: { minHeight: TARGET },
  // A long word goes on over more lines: Paper would cut it.
  word: {
    flexShrink: 1,
    marginHorizontal: 16,
    marginVertical: 8,
    textAlign: 'center',
    ...({ whiteSpace: 'normal' } as object),
  },
  // Paper draws the icon 16 into the margin of the word.
  afterIcon: { marginLeft: 16 + GAP },
  // Quiet ones have no edge, and stand closer.
  quiet: { borderWidth: 0 },
  quietWord: { marginHorizontal: 8 },
  afterQuietIcon: { marginLeft: 12 + GAP },
  final: { borderStyle: 'dashed' },
});

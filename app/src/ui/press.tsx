import type { ReactElement, ReactNode } from 'react';
import { Pressable, StyleSheet, View, type StyleProp, type ViewStyle } from 'react-native';
import { Icon } from './icon';
import { CORNER, GAP, RULE, TARGET } from './theme';
import { usePalette } from './use-palette';
import { Words } from './words';
import { mdiCheck } from '@mdi/js';

interface PressProps {
  readonly onPress: () => void;
  /** What a screen reader says; the visible words must be part of it. */
  readonly label?: string;
  readonly role?: 'button' | 'link' | 'checkbox' | 'radio' | 'tab';
  readonly checked?: boolean;
  /** It leads to where the person is already. */
  readonly isHere?: boolean;
  readonly disabled?: boolean;
  readonly style?: StyleProp<ViewStyle>;
  readonly children: ReactNode;
  readonly testID?: string;
}

/** Anything that is pressed: large enough for a glove, and dimmed while it is held. */
export function Press({
  onPress,
  label,
  role = 'button',
  checked,
  isHere = false,
  disabled = false,
  style,
  children,
  testID,
}: PressProps): ReactElement {
  return (
    <Pressable
      role={role}
      onPress={onPress}
      disabled={disabled}
      {...(label === undefined ? {} : { 'aria-label': label })}
      {...(checked === undefined ? {} : { 'aria-checked': checked })}
      {...(isHere ? { 'aria-current': role === 'link' ? 'page' : true } : {})}
      {...(testID === undefined ? {} : { testID })}
      style={({ pressed }) => [sheet.press, pressed && sheet.held, style]}
    >
      {children}
    </Pressable>
  );
}

interface ButtonProps {
  readonly word: string;
  readonly onPress: () => void;
  readonly icon?: string;
  /** The one that the screen is for. */
  readonly main?: boolean;
  readonly disabled?: boolean;
  readonly label?: string;
  readonly style?: StyleProp<ViewStyle>;
}

/** A button with its word. */
export function Button({
  word,
  onPress,
  icon,
  main = false,
  disabled = false,
  label,
  style,
}: ButtonProps): ReactElement {
  const palette = usePalette();
  const color = main ? palette.onGreen : palette.ink;
  const ground = main ? palette.green : palette.card;
  return (
    <Press
      onPress={onPress}
      disabled={disabled}
      {...(label === undefined ? {} : { label })}
      style={[
        sheet.button,
        { backgroundColor: ground, borderColor: main ? palette.green : palette.edge },
        disabled && sheet.disabled,
        style,
      ]}
    >
      {icon === undefined ? null : <Icon path={icon} color={color} size={20} />}
      <Words as={main ? 'heading' : 'label'} color={color}>
        {word}
      </Words>
    </Press>
  );
}

/** One of several, of which one is chosen, or many. */
export function Choice({
  word,
  isChosen,
  onPress,
  isMany = false,
}: {
  readonly word: string;
  readonly isChosen: boolean;
  readonly onPress: () => void;
  readonly isMany?: boolean;
}): ReactElement {
  const palette = usePalette();
  return (
    <Press
      role={isMany ? 'checkbox' : 'radio'}
      checked={isChosen}
      onPress={onPress}
      style={[
        sheet.choice,
        {
          borderColor: isChosen ? palette.green : palette.edge,
          backgroundColor: isChosen ? palette.chosen : palette.card,
        },
      ]}
    >
      {isMany && isChosen ? <Icon path={mdiCheck} size={18} /> : null}
      <Words as="label">{word}</Words>
    </Press>
  );
}

/** Choices side by side, onto more lines where they do not fit. */
export function Choices({ label, children }: { readonly label: string; readonly children: ReactNode }): ReactElement {
  return (
    <View role="radiogroup" aria-label={label} style={sheet.choices}>
      {children}
    </View>
  );
}

const sheet = StyleSheet.create({
  press: { minHeight: TARGET, minWidth: TARGET, justifyContent: 'center' },
  held: { opacity: 0.6 },
  button: {
    flexDirection: 'row',
    alignItems: 'center',
    justifyContent: 'center',
    gap: GAP,
    paddingHorizontal: 16,
    paddingVertical: 8,
    borderWidth: RULE,
    borderRadius: CORNER,
  },
  disabled: { opacity: 0.45 },
  choice: {
    flexDirection: 'row',
    justifyContent: 'center',
    gap: 6,
    paddingHorizontal: 14,
    borderWidth: RULE,
    borderRadius: CORNER,
    alignItems: 'center',
  },
  choices: { flexDirection: 'row', flexWrap: 'wrap', gap: GAP },
});

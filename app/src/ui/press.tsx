import type { ReactElement, ReactNode } from 'react';
import { StyleSheet, View, type StyleProp, type ViewStyle } from 'react-native';
import { Button as PaperButton, Chip, IconButton } from 'react-native-paper';
import { forgetPress } from './double-press';
import { Icon } from './icon';
import { CORNER, GAP, RULE, TARGET } from './theme';
import { mdiCheck } from '@mdi/js';
import Touchable, { Cannot, Repeatable } from './touchable';
import { textStyles } from './type';
import { usePalette } from './use-palette';

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

interface ButtonProps {
  readonly word: string;
  readonly onPress: () => void;
  readonly icon?: string;
  /** The one that the screen is for. */
  readonly main?: boolean;
  /** Why it cannot be pressed yet, in a sentence that says what to do first. */
  readonly cannot?: string | false | null;
  readonly label?: string;
  readonly style?: StyleProp<ViewStyle>;
  /** For what is held instead of pressed. */
  readonly onPressIn?: () => void;
  readonly onPressOut?: () => void;
  readonly isRepeatable?: boolean;
}

/** A button with its word. */
export function Button({
  word,
  onPress,
  icon,
  main = false,
  cannot = null,
  label,
  style,
  onPressIn,
  onPressOut,
  isRepeatable = false,
}: ButtonProps): ReactElement {
  const palette = usePalette();
  const why = cannot === false ? null : cannot;
  const button = (
    <PaperButton
      mode={main ? 'contained' : 'outlined'}
      onPress={onPress}
      {...(onPressIn === undefined ? {} : { onPressIn })}
      {...(onPressOut === undefined ? {} : { onPressOut })}
      {...(icon === undefined ? {} : { icon: ({ color }) => <Icon path={icon} color={color} size={20} /> })}
      {...(label === undefined ? {} : { accessibilityLabel: label })}
      buttonColor={main ? palette.green : palette.card}
      textColor={main ? palette.onGreen : palette.ink}
      style={[
        sheet.button,
        { borderColor: main ? palette.green : palette.edge },
        why !== null && sheet.disabled,
        style,
      ]}
      contentStyle={sheet.inButton}
      labelStyle={[sheet.word, icon !== undefined && sheet.afterIcon, main ? textStyles.heading : textStyles.label]}
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
    <Chip
      mode="outlined"
      accessibilityRole={isMany ? 'checkbox' : 'radio'}
      selected={isChosen}
      showSelectedCheck={false}
      {...(isMany && isChosen ? { icon: mdiCheck } : {})}
      onPress={onPress}
      style={[
        sheet.choice,
        {
          borderColor: isChosen ? palette.green : palette.edge,
          backgroundColor: isChosen ? palette.chosen : palette.card,
        },
      ]}
      textStyle={[sheet.chosenWord, { color: palette.ink }]}
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

/** Choices side by side, onto more lines where they do not fit. Of those of which one is chosen the arrows choose the next. */
export function Choices({ label, isMany = false, children }: ChoicesProps): ReactElement {
  return (
    <View
      role={isMany ? 'group' : 'radiogroup'}
      aria-label={label}
      style={sheet.choices}
      {...(isMany ? {} : { onKeyDown: chooseByArrow })}
    >
      {children}
    </View>
  );
}

const byArrow: Readonly<Record<string, 1 | -1>> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 };

/** In a group of radio buttons an arrow goes to the next or the one before, around its ends, and chooses it. */
function chooseByArrow(event: KeyboardEvent): void {
  const by = byArrow[event.key];
  if (by === undefined || !(event.currentTarget instanceof HTMLElement)) return;
  const radios = [...event.currentTarget.querySelectorAll<HTMLElement>('[role="radio"]:not([aria-disabled="true"])')];
  const at = radios.findIndex((radio) => radio === document.activeElement);
  const next = radios[(at + by + radios.length) % radios.length];
  if (at < 0 || next === undefined) return;
  event.preventDefault();
  next.focus();
  forgetPress();
  next.click();
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
  choice: { borderWidth: RULE, borderRadius: CORNER, minHeight: TARGET, maxWidth: '100%' },
  // As high as the chip: Paper leaves what is over below.
  chosenWord: {
    flexShrink: 1,
    marginHorizontal: 14,
    marginVertical: (TARGET - textStyles.label.lineHeight) / 2,
    ...({ whiteSpace: 'normal' } as object),
  },
  choices: { flexDirection: 'row', flexWrap: 'wrap', gap: GAP },
});

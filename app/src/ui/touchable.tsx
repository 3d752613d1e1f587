import type { ReactElement, Ref } from 'react';
import {
  Pressable,
  type AccessibilityState,
  type PressableProps,
  type PressableStateCallbackType,
  type StyleProp,
  type View,
  type ViewStyle,
} from 'react-native';
import { usePalette } from './use-palette';

/** React Native for the web knows of a mouse over it too. */
type State = PressableStateCallbackType & { readonly hovered?: boolean };

interface Props extends Omit<PressableProps, 'style'> {
  readonly style?: StyleProp<ViewStyle> | ((state: State) => StyleProp<ViewStyle>);
  readonly ref?: Ref<View>;
  /** What Paper's own touchable takes besides, for its ripple. */
  readonly borderless?: boolean;
  readonly background?: unknown;
  readonly rippleColor?: unknown;
  readonly underlayColor?: unknown;
  readonly theme?: unknown;
}

/**
 * What is pressed, in the place of Paper's touchable within Paper's components too (see `metro.config.js`). React Native
 * for the web does not pass on the state of a component as Paper says it; here it becomes what a screen reader hears. What
 * is hovered over is shaded a little and what is held more, over whatever colour it has.
 */
export default function Touchable({
  accessibilityState,
  style,
  ref,
  borderless: _borderless,
  background: _background,
  rippleColor: _rippleColor,
  underlayColor: _underlayColor,
  theme: _theme,
  ...rest
}: Props): ReactElement {
  const { ink } = usePalette();
  return (
    <Pressable
      {...stateOnTheWeb(rest.role ?? rest.accessibilityRole, accessibilityState)}
      {...rest}
      {...(ref === undefined ? {} : { ref })}
      disabled={rest.disabled === true || (rest.onPress ?? rest.onLongPress ?? null) === null}
      style={(state: State) => [
        typeof style === 'function' ? style(state) : style,
        state.pressed ? shade(ink, '38') : state.hovered === true ? shade(ink, '14') : null,
      ]}
    />
  );
}

const shade = (ink: string, alpha: string) => ({ boxShadow: `inset 0 0 0 1000px ${ink}${alpha}` });

/** The state of what has this role, in the words of WAI-ARIA. */
export function stateOnTheWeb(role: string | undefined, state: AccessibilityState | undefined): object {
  const { checked, selected, expanded, busy } = state ?? {};
  const chosen = checked ?? selected;
  return {
    ...(chosen === undefined
      ? {}
      : role === 'checkbox' || role === 'radio' || role === 'switch'
        ? { 'aria-checked': chosen }
        : role === 'tab'
          ? { 'aria-selected': chosen }
          : role === 'button'
            ? { 'aria-pressed': chosen }
            : {}),
    ...(expanded === undefined ? {} : { 'aria-expanded': expanded }),
    ...(busy === undefined ? {} : { 'aria-busy': busy }),
  };
}

import { createContext, useCallback, useContext, useRef, type ReactElement, type Ref } from 'react';
import {
  Pressable,
  type AccessibilityState,
  type GestureResponderEvent,
  type PressableProps,
  type PressableStateCallbackType,
  type StyleProp,
  type View,
  type ViewStyle,
} from 'react-native';
import { isPressedTwice } from './double-press';
import { useNotice } from '../state/use-notice';
import { usePalette } from '../theme/use-palette';

/** Around what of Paper is pressed many times in a row, as `isRepeatable` of our own. */
export const Repeatable = createContext(false);

/** React Native for the web knows of a mouse over it too. */
type State = PressableStateCallbackType & { readonly hovered?: boolean };

/** Around a key that cannot be pressed yet: why. It can be reached all the same, and says so when it is pressed. */
export const Cannot = createContext<string | null>(null);

interface Props extends Omit<PressableProps, 'style'> {
  readonly style?: StyleProp<ViewStyle> | ((state: State) => StyleProp<ViewStyle>);
  readonly ref?: Ref<View>;
  /** It is pressed many times in a row on purpose: a digit, one more, the next page. Anything else is done once by a double press. */
  readonly isRepeatable?: boolean;
  /** Makes it a link. The browser follows it where it is to open elsewhere; here `onPress` does. */
  readonly href?: string;
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
  isRepeatable = false,
  href,
  onPress,
  borderless: _borderless,
  background: _background,
  rippleColor: _rippleColor,
  underlayColor: _underlayColor,
  theme: _theme,
  ...rest
}: Props): ReactElement {
  const { ink } = usePalette();
  const isMany = useContext(Repeatable) || isRepeatable;
  const cannot = useContext(Cannot);
  // React Native for the web has no word for what cannot be pressed and can be reached.
  const element = useRef<HTMLElement | null>(null);
  const marked = useCallback(
    (view: View | null): void => {
      element.current?.removeAttribute('aria-disabled');
      element.current = view as unknown as HTMLElement | null;
      element.current?.setAttribute('aria-disabled', 'true');
      if (typeof ref === 'function') ref(view);
      else if (ref != null) ref.current = view;
    },
    [ref],
  );
  const role = rest.role ?? rest.accessibilityRole;
  const press = (event: GestureResponderEvent): void => {
    if (cannot !== null) {
      useNotice.getState().say(cannot);
      return;
    }
    if (href !== undefined && isForTheBrowser(event, href)) return;
    if (isMany || !isPressedTwice(event)) onPress?.(event);
  };
  return (
    <Pressable
      {...stateOnTheWeb(role, accessibilityState)}
      {...rest}
      {...(cannot === null ? (ref === undefined ? {} : { ref }) : { ref: marked })}
      {...(href === undefined ? {} : { href })}
      {...(onPress == null ? {} : { onPress: press })}
      {...(onPress == null || !pressedBySpace.includes(role ?? '') ? {} : { onKeyDown: bySpace(press) })}
      disabled={rest.disabled === true || (onPress ?? rest.onLongPress ?? null) === null}
      style={(state: State) => [
        typeof style === 'function' ? style(state) : style,
        state.pressed ? shade(ink, '38') : state.hovered === true ? shade(ink, '14') : null,
      ]}
    />
  );
}

/** Whether a link is to be opened in another window, or leads out of the application: then the browser follows it. */
function isForTheBrowser(event: GestureResponderEvent, href: string): boolean {
  const { ctrlKey, metaKey, shiftKey } = event as unknown as MouseEvent;
  if (ctrlKey || metaKey || shiftKey) return true;
  if (!isOutside(href)) event.preventDefault();
  return false;
}

/** Whether an address leads out of the application: the device opens it. */
export function isOutside(href: string): boolean {
  return /^[a-z]+:/.test(href);
}

/** React Native for the web lets space press buttons only. */
const pressedBySpace: readonly string[] = ['checkbox', 'radio', 'switch', 'tab'];

const bySpace =
  (press: (event: GestureResponderEvent) => void) =>
  (event: {
    readonly nativeEvent: { readonly key: string; readonly repeat?: boolean };
    preventDefault: () => void;
  }): void => {
    if (event.nativeEvent.key !== ' ') return;
    // Or the page would scroll.
    event.preventDefault();
    if (event.nativeEvent.repeat !== true) press(event as unknown as GestureResponderEvent);
  };

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

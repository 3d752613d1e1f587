import type { AccessibilityState } from 'react-native';
import type { ComponentProps, ReactElement } from 'react';
import Ripple from 'react-native-paper/lib/module/components/TouchableRipple/TouchableRipple';
import { usePalette } from './use-palette';

type Props = ComponentProps<typeof Ripple>;

/**
 * What is pressed: Paper's touchable, and in its place within Paper's own components too (see `metro.config.js`). React Native
 * for the web does not pass on the state of a component as Paper says it; here it becomes what a screen reader hears. What
 * is hovered over is shaded a little and what is held more, over whatever colour it has.
 */
export default function Touchable({ accessibilityState, style, ref, ...rest }: Props): ReactElement {
  const { ink } = usePalette();
  return (
    <Ripple
      {...stateOnTheWeb(rest.role ?? rest.accessibilityRole, accessibilityState)}
      {...rest}
      {...(ref === undefined ? {} : { ref })}
      style={(state) => [
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

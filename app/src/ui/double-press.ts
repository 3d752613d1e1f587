import type { GestureResponderEvent } from 'react-native';

/** A hand that presses twice does so within this; nobody reads what came of a press and presses again so soon. */
const TWICE_MILLISECONDS = 350;
/** A finger comes down again within so many pixels. */
const SAME_PLACE_PIXELS = 24;

interface Pressed {
  readonly at: number;
  /** Null for the keyboard. */
  readonly place: { readonly x: number; readonly y: number } | null;
  readonly target: EventTarget | null;
}

let last: Pressed | null = null;

/**
 * Whether a press is the second half of one that a hand made twice: at the same place as the one before, and so soon after it that
 * its person cannot have seen what came of that. What lies there may be another key by now. Held keys repeat as such presses.
 */
export function isPressedTwice(event: GestureResponderEvent, now: number = performance.now()): boolean {
  // A press by the keyboard comes as the browser made it.
  const { nativeEvent = event as unknown as MouseEvent } = event as unknown as { readonly nativeEvent?: MouseEvent };
  const isByPointer = nativeEvent.detail > 0;
  const pressed: Pressed = {
    at: now,
    place: isByPointer ? { x: nativeEvent.clientX, y: nativeEvent.clientY } : null,
    target: nativeEvent.target,
  };
  const before = last;
  last = pressed;
  return before !== null && now - before.at < TWICE_MILLISECONDS && isSamePlace(before, pressed);
}

/** What is pressed next is a press of its own, however soon. */
export function forgetPress(): void {
  last = null;
}

/** Whoever typed something, or touched another place in between, presses again. */
window.addEventListener('input', forgetPress, { capture: true });
window.addEventListener(
  'pointerdown',
  ({ clientX, clientY }) => {
    if (last?.place == null) return;
    if (Math.hypot(last.place.x - clientX, last.place.y - clientY) > SAME_PLACE_PIXELS) forgetPress();
  },
  { capture: true },
);

function isSamePlace(before: Pressed, now: Pressed): boolean {
  if (before.place === null || now.place === null) return before.place === now.place && before.target === now.target;
  const away = Math.hypot(before.place.x - now.place.x, before.place.y - now.place.y);
  return away <= SAME_PLACE_PIXELS;
}

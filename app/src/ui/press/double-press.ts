import type { GestureResponderEvent } from 'react-native';

/** A hand that presses twice does so within this; nobody reads what came of a press and presses again so soon. */
const TWICE_MILLISECONDS = 350;
/** A finger comes down again within so many pixels. */
const SAME_PLACE_PIXELS = 24;

interface Pressed {
  /** When the hand pressed. A page that is busy hears of it later. */
  readonly at: number;
  readonly heardAt: number;
  /** Null for the keyboard. */
  readonly place: { readonly x: number; readonly y: number } | null;
  readonly target: EventTarget | null;
  /** Whether it recorded something. */
  hasRecorded: boolean;
  /** Whether it followed one that recorded something, at the same place and at once. */
  readonly isEcho: boolean;
}

let last: Pressed | null = null;

/**
 * Whether a press is the second half of one that a hand made twice: of the same key, at the same place, after it recorded something, and
 * so soon that its person cannot have seen what came of that. A key that only asked, or told what is wrong, may be pressed again at
 * once. Held keys repeat as such presses. What the device itself calls a double press (`detail` counts them) is one.
 */
export function isPressedTwice(event: GestureResponderEvent, now: number = performance.now()): boolean {
  // A press by the keyboard comes as the browser made it.
  const { nativeEvent, currentTarget } = event as unknown as { nativeEvent?: MouseEvent; currentTarget: EventTarget };
  const { detail, clientX, clientY, timeStamp: at, target: pressed } = nativeEvent ?? (event as unknown as MouseEvent);
  const place = detail > 0 ? { x: clientX, y: clientY } : null;
  // The key, and not the word or sign in it that was hit.
  const target = nativeEvent === undefined ? pressed : currentTarget;
  const before = last;
  const isEcho =
    before !== null &&
    before.hasRecorded &&
    (detail > 1 || at - before.at < TWICE_MILLISECONDS) &&
    isSamePlace(before, { place, target });
  last = { at, heardAt: now, place, target, hasRecorded: isEcho, isEcho };
  return isEcho && before.target === target;
}

/**
 * Whether what is recorded now comes of the second half of such a press on another key, which lies there by now: what stood behind a
 * sheet that has closed, or the next in a row. It may open something; it records nothing.
 */
export function isOfEcho(now: number = performance.now()): boolean {
  return last !== null && last.isEcho && now - last.heardAt < TWICE_MILLISECONDS;
}

/** What was pressed last records something. */
export function noteRecording(): void {
  if (last !== null) last.hasRecorded = true;
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

type Where = Pick<Pressed, 'place' | 'target'>;

function isSamePlace(before: Where, now: Where): boolean {
  if (before.place === null || now.place === null) return before.place === now.place && before.target === now.target;
  const away = Math.hypot(before.place.x - now.place.x, before.place.y - now.place.y);
  return away <= SAME_PLACE_PIXELS;
}

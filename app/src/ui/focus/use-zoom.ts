import { useEffect, useLayoutEffect, useRef, useState } from 'react';

/** What a document can be enlarged by; 1 fits its width. */
export const MOST_ENLARGED = 6;

const within = (scale: number): number => Math.max(1, Math.min(MOST_ENLARGED, scale));

/** The steps of the two keys; fingers stop anywhere between. */
const scales = [1, 1.5, 2, 3, 4, MOST_ENLARGED] as const;

export const smallerThan = (scale: number): number => scales.findLast((each) => each < scale) ?? 1;
export const largerThan = (scale: number): number => scales.find((each) => each > scale) ?? MOST_ENLARGED;

interface Point {
  readonly x: number;
  readonly y: number;
}

interface Zoom {
  readonly scale: number;
  readonly setScale: (scale: number) => void;
  /** Takes the element that scrolls; what it shows must be its only child, as wide as the scale says. */
  readonly onFrame: (frame: HTMLElement | null) => void;
}

/** Enlarging by two fingers, or by `setScale`: what lies between the fingers, or in the middle, stays where it is. */
export function useZoom(): Zoom {
  const [scale, setScale] = useState(1);
  const [frame, onFrame] = useState<HTMLElement | null>(null);
  const drawn = useRef(1);
  /** The point of the frame that stays; null for its middle. */
  const held = useRef<Point | null>(null);

  useLayoutEffect(() => {
    if (frame === null || drawn.current === scale) return;
    const ratio = scale / drawn.current;
    const { x, y } = held.current ?? { x: frame.clientWidth / 2, y: frame.clientHeight / 2 };
    frame.scrollLeft = (frame.scrollLeft + x) * ratio - x;
    frame.scrollTop = (frame.scrollTop + y) * ratio - y;
    drawn.current = scale;
    held.current = null;
  }, [frame, scale]);

  useEffect(() => {
    if (frame === null) return undefined;
    return listenForPinch(
      frame,
      () => drawn.current,
      (next, point) => {
        const scaled = within(next);
        held.current = scaled === drawn.current ? null : point;
        setScale(scaled);
      },
    );
  }, [frame]);

  return { scale, setScale: (next) => setScale(within(next)), onFrame };
}

/**
 * Shows what two fingers do at once, and tells the scale when they are lifted.
 *
 * @returns ends it
 */
function listenForPinch(
  frame: HTMLElement,
  scaleNow: () => number,
  onPinched: (scale: number, between: Point) => void,
): () => void {
  let pinch: { readonly apart: number; readonly between: Point; ratio: number } | null = null;
  const begin = ({ touches }: TouchEvent): void => {
    const [one, other] = [touches[0], touches[1]];
    if (one === undefined || other === undefined) return;
    const { left, top } = frame.getBoundingClientRect();
    const between = { x: (one.clientX + other.clientX) / 2 - left, y: (one.clientY + other.clientY) / 2 - top };
    pinch = { apart: distance(one, other), between, ratio: 1 };
  };
  const move = (event: TouchEvent): void => {
    const [one, other] = [event.touches[0], event.touches[1]];
    if (pinch === null || one === undefined || other === undefined) return;
    event.preventDefault();
    pinch.ratio = within((scaleNow() * distance(one, other)) / Math.max(1, pinch.apart)) / scaleNow();
    const { x, y } = pinch.between;
    turn(`${frame.scrollLeft + x}px ${frame.scrollTop + y}px`, `scale(${pinch.ratio})`);
  };
  const end = (): void => {
    if (pinch === null) return;
    turn('', '');
    onPinched(scaleNow() * pinch.ratio, pinch.between);
    pinch = null;
  };
  const turn = (transformOrigin: string, transform: string): void => {
    const shown = frame.firstElementChild;
    if (shown instanceof HTMLElement) Object.assign(shown.style, { transformOrigin, transform });
  };
  frame.addEventListener('touchstart', begin, { passive: true });
  frame.addEventListener('touchmove', move, { passive: false });
  frame.addEventListener('touchend', end);
  frame.addEventListener('touchcancel', end);
  return () => {
    frame.removeEventListener('touchstart', begin);
    frame.removeEventListener('touchmove', move);
    frame.removeEventListener('touchend', end);
    frame.removeEventListener('touchcancel', end);
  };
}

const distance = (one: Touch, other: Touch): number =>
  Math.hypot(one.clientX - other.clientX, one.clientY - other.clientY);

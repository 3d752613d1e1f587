/** So long a key that was pressed early is still what its person wants. */
const WANTED_MILLISECONDS = 10_000;
const MOST = 10;
/** Those that only look or go along a list: what a key accepts or starts is never done for somebody who could not see it. */
const HARMLESS: ReadonlySet<string> = new Set(['/', '?', 'j', 'k']);

/** Which of the places is on the screen: a key that was meant for one does nothing on another. */
const place = (): string => window.location.pathname.split('/')[1] ?? '';

let early: readonly KeyboardEvent[] = [];
let pressedOn = '';

function keep(event: KeyboardEvent): void {
  if (event.target !== document.body || event.ctrlKey || event.altKey || event.metaKey) return;
  if (!HARMLESS.has(event.key)) return;
  if (pressedOn !== place()) early = [];
  pressedOn = place();
  early = [...early, event].slice(-MOST);
}

/** A page that has keys is on the screen before the code that listens to them: what is pressed until then is kept for it. */
export function keepEarlyKeys(): () => void {
  window.addEventListener('keydown', keep);
  return () => window.removeEventListener('keydown', keep);
}

/** A key that was answered is not pressed again. */
export function wasAnswered(event: KeyboardEvent): void {
  early = early.filter((each) => each !== event);
}

/** Presses what was pressed early, in its order, for those who listen now. */
export function pressEarlyKeys(): void {
  const latest = performance.now();
  const isHere = pressedOn === place();
  const pressed = early.filter(({ timeStamp }) => isHere && latest - timeStamp < WANTED_MILLISECONDS);
  early = [];
  for (const { key, code, shiftKey } of pressed)
    document.body.dispatchEvent(new KeyboardEvent('keydown', { key, code, shiftKey, bubbles: true, cancelable: true }));
}

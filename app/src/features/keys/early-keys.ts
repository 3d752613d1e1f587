/** So long a key that was pressed early is still what its person wants. */
const WANTED_MILLISECONDS = 10_000;
const MOST = 10;

let early: readonly KeyboardEvent[] = [];

function keep(event: KeyboardEvent): void {
  if (event.target !== document.body || event.ctrlKey || event.altKey || event.metaKey) return;
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
  const pressed = early.filter(({ timeStamp }) => latest - timeStamp < WANTED_MILLISECONDS);
  early = [];
  for (const { key, code, shiftKey } of pressed)
    document.body.dispatchEvent(new KeyboardEvent('keydown', { key, code, shiftKey, bubbles: true, cancelable: true }));
}

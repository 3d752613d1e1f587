/** After something was done it is looked so often, and for so long, whether the focus was lost: what comes may come late. */
const LOOK_MILLISECONDS = 150;
const LOOKED_FOR_MILLISECONDS = 5_000;

/** What had the focus last, and all that it lay in, the nearest first. */
let chain: readonly HTMLElement[] = [];
/** Where the focus was before what has closed just now was opened. */
let opener: HTMLElement | null = null;
let timer: ReturnType<typeof setInterval> | undefined;

const PLACES = '[role="main"], [role="dialog"], [role="complementary"], [role="region"]';

/** Whoever goes by keys or by a screen reader goes on at what the screen is for. */
export function focusMain(): void {
  focusOn(document.querySelector<HTMLElement>('[role="main"]'));
}

function focusOn(place: HTMLElement | null): void {
  if (place === null) return;
  // It is gone to from here only, not by the tab key.
  if (!place.hasAttribute('tabindex')) place.tabIndex = -1;
  place.focus({ preventScroll: true });
}

const isLost = (): boolean => document.activeElement === null || document.activeElement === document.body;

/** Where what had the focus is gone: into what it lay in, or to the screen's content, where that is gone as well. */
function bringBack(): void {
  if (opener?.isConnected === true) {
    opener.focus({ preventScroll: true });
    if (!isLost()) return;
  }
  // It was left on purpose.
  if (chain[0]?.isConnected === true) return;
  const rest = chain.find((each) => each.isConnected && each.closest(PLACES) !== null);
  if (rest === undefined) focusMain();
  else focusOn(rest);
}

function look(): void {
  if (isLost()) bringBack();
  opener = null;
}

/** For a while from now on nobody is left without the focus. */
export function watchFocus(): void {
  clearInterval(timer);
  const until = performance.now() + LOOKED_FOR_MILLISECONDS;
  timer = setInterval(() => {
    look();
    if (performance.now() > until) clearInterval(timer);
  }, LOOK_MILLISECONDS);
}

/** What lay over the screen closes: the focus goes back to where that was opened. */
export function returnFocusTo(before: Element | null): void {
  opener = before instanceof HTMLElement && before !== document.body ? before : null;
  watchFocus();
  setTimeout(look);
}

function note({ target }: Event): void {
  const found: HTMLElement[] = [];
  for (let each = target instanceof HTMLElement ? target : null; each !== null; each = each.parentElement)
    found.push(each);
  chain = found;
}

/**
 * Keeps the focus where somebody is: what was pressed often goes with what it did, and the browser then begins at the top of the
 * page. Gives what ends it.
 */
export function keepFocus(): () => void {
  const onKey = ({ key }: KeyboardEvent): void => {
    if (key === 'Enter' || key === ' ' || key === 'Escape') watchFocus();
  };
  // Whoever presses beside everything wants the focus nowhere.
  const onPointer = (): void => clearInterval(timer);
  document.addEventListener('focusin', note);
  document.addEventListener('keydown', onKey);
  document.addEventListener('pointerdown', onPointer, { capture: true });
  document.addEventListener('click', watchFocus);
  return () => {
    clearInterval(timer);
    document.removeEventListener('focusin', note);
    document.removeEventListener('keydown', onKey);
    document.removeEventListener('pointerdown', onPointer, { capture: true });
    document.removeEventListener('click', watchFocus);
  };
}

/** Whoever goes by keys or by a screen reader goes on at what the screen is for. */
export function focusMain(): void {
  const main = document.querySelector<HTMLElement>('[role="main"]');
  if (main === null) return;
  // It is gone to from here only, not by the tab key.
  if (!main.hasAttribute('tabindex')) main.tabIndex = -1;
  main.focus({ preventScroll: true });
}

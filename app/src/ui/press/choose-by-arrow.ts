import { forgetPress } from './double-press';

const byArrow: Readonly<Record<string, 1 | -1>> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 };

/** In a group of radio buttons an arrow goes to the next or the one before, around its ends, and chooses it. */
export function chooseByArrow(event: KeyboardEvent): void {
  const by = byArrow[event.key];
  if (by === undefined || !(event.currentTarget instanceof HTMLElement)) return;
  const radios = [...event.currentTarget.querySelectorAll<HTMLElement>('[role="radio"]:not([aria-disabled="true"])')];
  const at = radios.findIndex((radio) => radio === document.activeElement);
  const next = radios[(at + by + radios.length) % radios.length];
  if (at < 0 || next === undefined) return;
  event.preventDefault();
  next.focus();
  forgetPress();
  next.click();
}

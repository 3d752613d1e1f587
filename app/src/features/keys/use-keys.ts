import { useEffect } from 'react';
import { give, type Command } from './commands';

/** The keys of a wide screen, in the order in which they are listed. */
export const keys: readonly (readonly [key: string, command: Command, words: string])[] = [
  ['/', 'find', 'Find a job'],
  ['j', 'next', 'Next job'],
  ['k', 'previous', 'Job before'],
  ['Enter', 'open', 'Into the job: then the arrows move it'],
  ['c', 'clock', 'Start or stop my clock'],
  ['t', 'time', 'Time'],
  ['p', 'part', 'Part'],
  ['r', 'reading', 'Reading'],
  ['n', 'note', 'Note'],
  ['Shift+Enter', 'finish', 'Finish'],
];

/** Listens to the keys while nothing is typed and no sheet is open. `onHelp` shows the list. */
export function useKeys(isOn: boolean, onHelp: () => void): void {
  useEffect(() => {
    if (!isOn) return undefined;
    const press = (event: KeyboardEvent): void => {
      if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return;
      if (document.querySelector('[aria-modal="true"]') !== null) return;
      if (event.key === '?') return onHelp();
      // On a button it presses the button.
      if (event.key === 'Enter' && !event.shiftKey && event.target !== document.body) return;
      const name = event.shiftKey && event.key === 'Enter' ? 'Shift+Enter' : event.key;
      const found = keys.find(([key]) => key === name);
      if (found === undefined || !give(found[1])) return;
      event.preventDefault();
    };
    document.addEventListener('keydown', press);
    return () => document.removeEventListener('keydown', press);
  }, [isOn, onHelp]);
}

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))
  );
}

import { useEffect } from 'react';
import { tinykeys } from 'tinykeys';
import { keptChoice } from '../../../ui/state/kept-choice';
import { pressEarlyKeys, wasAnswered } from './early-keys';
import { give, type Command } from './commands';

/** A key of a wide screen: what it asks for, and what it is called in the list. */
export interface Key {
  readonly key: string;
  readonly command: Command;
  readonly words: string;
}

/** Whether single letters do something: off for whoever speaks to their computer, or often touches a key by chance. */
export const useLetterKeys = keptChoice<boolean>('oilcan.letter-keys', true, {
  read: (kept) => kept !== false,
  isPersonal: false,
});

/** The keys that belong to no subject: before those of the dock, and after them. */
export const keysBefore: readonly Key[] = [
  { key: '/', command: 'find', words: 'Find anything' },
  { key: 'j', command: 'next', words: 'Next job' },
  { key: 'k', command: 'previous', words: 'Job before' },
  { key: 'Enter', command: 'open', words: 'Into the job: then the arrows move it' },
  { key: 'c', command: 'clock', words: 'Start or stop my clock' },
  { key: 'b', command: 'pause', words: 'Break' },
];
export const keysAfter: readonly Key[] = [
  { key: 's', command: 'shorthand', words: 'Write in one line' },
  { key: 'z', command: 'undo', words: 'Undo what was just recorded' },
  { key: 'Shift+Enter', command: 'finish', words: 'Finish' },
];

/** Listens to the keys while nothing is typed and no sheet is open. `onHelp` shows the list. */
export function useKeys(keys: readonly Key[], onHelp: () => void): void {
  useEffect(() => {
    const unlessBusy =
      (name: string, act: () => boolean) =>
      (event: KeyboardEvent): void => {
        // A key that is held asks once, but for going along a list.
        if (event.repeat && name !== 'j' && name !== 'k') return;
        if (!useLetterKeys.getState().value && /^[a-z]$/i.test(name)) return;
        if (isTyping(event.target) || document.querySelector('[aria-modal="true"]') !== null) return;
        // On a button it presses the button.
        if (name === 'Enter' && event.target !== document.body) return;
        if (!act()) return;
        wasAnswered(event);
        event.preventDefault();
      };
    const help = unlessBusy('?', () => {
      onHelp();
      return true;
    });
    const bindings = keys.flatMap(({ key, command }) => {
      const press = unlessBusy(key, () => give(command));
      // Where a sign stands above another on the keyboard, shift is part of typing it.
      return /^[a-zA-Z+]+$/.test(key)
        ? [[key, press] as const]
        : [[key, press] as const, [`Shift+${key}`, press] as const];
    });
    const end = tinykeys(window, { ...Object.fromEntries(bindings), '?': help, 'Shift+?': help });
    pressEarlyKeys();
    return end;
  }, [keys, onHelp]);
}

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))
  );
}

import { act, fireEvent, screen } from '@testing-library/react';
import { forgetPress } from '../ui/press/double-press';

/** Presses what has this name, and waits for what comes of it. */
export async function press(name: string | RegExp, role = 'button'): Promise<void> {
  // A person takes their time between two presses.
  forgetPress();
  fireEvent.click(found(name, role));
  await settled();
}

/** Presses a button twice, before anything comes of the first press. */
export async function pressTwice(name: string | RegExp): Promise<void> {
  const button = found(name, 'button');
  fireEvent.click(button);
  fireEvent.click(button);
  await settled();
}

function found(name: string | RegExp, role: string): HTMLElement {
  const [first] = screen.queryAllByRole(role, { name: isCalled(name) });
  if (first === undefined) throw new Error(`There is no ${role} “${String(name)}” among: ${namesOf(role).join(', ')}`);
  return first;
}

/** Types into the field with this label. */
export async function type(label: string | RegExp, text: string): Promise<void> {
  fireEvent.change(screen.getByLabelText(label), { target: { value: text } });
  await settled();
}

/** What one press sets off takes no more than these: kept, sent, answered, drawn. */
const TURNS = 4;

/** Lets everything happen that waits for nothing but its turn. */
export async function settled(): Promise<void> {
  for (let turn = 0; turn < TURNS; turn += 1) await act(() => new Promise((resolve) => setTimeout(resolve)));
}

/** All the words on the screen, with plain spaces. */
export function words(): string {
  return plain(document.body.textContent);
}

/** Whether there is something of this role and name, and it can be pressed. */
export function canPress(name: string | RegExp, role = 'button'): boolean {
  const [first] = screen.queryAllByRole(role, { name: isCalled(name) });
  return first !== undefined && first.getAttribute('aria-disabled') !== 'true';
}

/** By its whole name, whatever its spaces are, or by a part of it. */
const isCalled =
  (name: string | RegExp) =>
  (given: string): boolean =>
    typeof name === 'string' ? plain(given) === name : name.test(plain(given));

const namesOf = (role: string): string[] =>
  screen.queryAllByRole(role).map((each) => plain(each.getAttribute('aria-label') ?? each.textContent));

const plain = (text: string | null): string => (text ?? '').replace(/\s+/g, ' ').trim();

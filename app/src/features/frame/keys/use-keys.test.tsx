import { act, fireEvent, render, screen } from '@testing-library/react';
import type { ReactElement } from 'react';
import { give, useCommand, type Command } from './commands';
import { keepEarlyKeys } from './early-keys';
import { shiftKeys } from '../../finishing/shift/shift-keys';
import { useKeys } from './use-keys';

const answered = jest.fn();
const onHelp = jest.fn();
beforeEach(() => {
  answered.mockReset();
  onHelp.mockReset();
});

function Answers({ command, as = command }: { readonly command: Command; readonly as?: string }): null {
  useCommand(command, () => answered(as));
  return null;
}
function Screen({ children }: { readonly children?: ReactElement }): ReactElement {
  useKeys(shiftKeys, onHelp);
  return (
    <>
      <Answers command="next" />
      <Answers command="open" />
      <Answers command="finish" />
      {children}
      <input aria-label="typed into" />
      <button>pressed</button>
    </>
  );
}
const press = (key: string, target: Element = document.body, more: object = {}): void =>
  void fireEvent.keyDown(target, { key, ...more });

describe('keys', () => {
  it('do what the list of keys says', () => {
    render(<Screen />);
    for (const key of ['j', 'Enter']) press(key);
    press('?', document.body, { shiftKey: true });
    press('Enter', document.body, { shiftKey: true });
    expect(answered.mock.calls.flat()).toEqual(['next', 'open', 'finish']);
    expect(onHelp).toHaveBeenCalledTimes(1);
  });

  it('are letters where somebody types, and press the button that is chosen', () => {
    render(<Screen />);
    press('j', screen.getByLabelText('typed into'));
    press('Enter', screen.getByText('pressed'));
    expect(answered).not.toHaveBeenCalled();
  });

  it('leave those of the browser alone, and rest while a sheet is open', () => {
    render(
      <Screen>
        <div aria-modal="true" />
      </Screen>,
    );
    press('j');
    press('j', document.body, { ctrlKey: true });
    expect(answered).not.toHaveBeenCalled();
  });

  it('count when they were pressed before anybody listened, once', () => {
    const end = keepEarlyKeys();
    press('j');
    press('j', document.body, { ctrlKey: true });
    const view = render(<Screen />);
    expect(answered.mock.calls.flat()).toEqual(['next']);
    press('Enter');
    view.unmount();
    render(<Screen />);
    expect(answered.mock.calls.flat()).toEqual(['next', 'open']);
    end();
  });

  it('do nothing early that accepts or starts something, and nothing on another place', () => {
    const end = keepEarlyKeys();
    for (const key of ['a', 'c', 'Enter']) press(key);
    press('j');
    window.history.pushState(null, '', '/elsewhere');
    render(<Screen />);
    expect(answered).not.toHaveBeenCalled();
    window.history.back();
    end();
  });

  it('are each listed once', () => {
    const named = shiftKeys.map(({ key }) => key);
    expect(new Set(named).size).toBe(named.length);
  });
});

describe('a command', () => {
  it('is answered by the newest on the screen, and by the one before when that is gone', () => {
    const view = render(
      <>
        <Answers command="record note" as="first" />
        <Answers command="record note" as="second" />
      </>,
    );
    act(() => void give('record note'));
    view.rerender(<Answers command="record note" as="first" />);
    act(() => void give('record note'));
    expect(answered.mock.calls.flat()).toEqual(['second', 'first']);
    view.unmount();
    expect(give('record note')).toBe(false);
  });

  it('is answered by nobody who left, in whatever order they left', () => {
    const view = render(
      <>
        <Answers key="first" command="record note" as="first" />
        <Answers key="second" command="record note" as="second" />
      </>,
    );
    view.rerender(<Answers key="second" command="record note" as="second" />);
    view.rerender(<></>);
    expect(give('record note')).toBe(false);
  });
});

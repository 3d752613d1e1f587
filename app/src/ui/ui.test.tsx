import { act, screen } from '@testing-library/react';
import { useState, type ComponentType, type ReactElement } from 'react';
import { smallWorks } from '@oilcan/core/testing';
import { canPress, press, words } from '../testing/hands';
import { TestWorks } from '../testing/works';
import { View } from 'react-native';
import { BottomSheet } from './layout/bottom-sheet';
import { FailedScreen } from './loading/failed-screen';
import { NoticeSnackbar } from './layout/notice-snackbar';
import { lazyComponent } from './loading/lazy-component';
import { Button } from './press/press';
import { AppText } from './theme/app-text';

let works: TestWorks;
beforeEach(async () => {
  works = await TestWorks.open(smallWorks());
});
afterEach(() => works.close());

describe('a piece', () => {
  const Greeting = ({ name }: { readonly name: string }) => <AppText>Good morning, {name}.</AppText>;

  it('shows what stands in its place until it is loaded, and is there at once the next time', async () => {
    let bring: (component: typeof Greeting) => void = () => undefined;
    const get = jest.fn(() => new Promise<typeof Greeting>((resolve) => (bring = resolve)));
    const LazyComponent = lazyComponent(get, <AppText>One moment …</AppText>);
    await works.show(<LazyComponent name="Ann" />);
    expect(words()).toBe('One moment …');
    await act(async () => bring(Greeting));
    expect(words()).toBe('Good morning, Ann.');
    await works.show(<LazyComponent name="Bob" />);
    expect([words(), get.mock.calls.length]).toEqual(['Good morning, Bob.', 1]);
  });

  it('that was loaded beforehand does not make anybody wait', async () => {
    const LazyComponent = lazyComponent(() => Promise.resolve(Greeting), <AppText>One moment …</AppText>);
    await LazyComponent.load();
    await works.show(<LazyComponent name="Ann" />);
    expect(words()).toBe('Good morning, Ann.');
  });

  it('that cannot be loaded says so, and leaves the rest as it is', async () => {
    const LazyComponent = lazyComponent(() => Promise.reject<typeof Greeting>(new Error('No line')));
    await works.show(
      <>
        <AppText>The rest.</AppText>
        <LazyComponent name="Ann" />
      </>,
    );
    expect(words()).toMatch(/The rest\.This part of Oilcan could not be loaded\. What you recorded is kept\./);
    expect(canPress('Close')).toBe(false);
  });

  it('that opens over the rest and cannot be loaded can be closed', async () => {
    const Sheet = lazyComponent(() => Promise.reject<ComponentType<{ onClose: () => void }>>(new Error('No line')));
    const onClose = jest.fn();
    await works.show(<Sheet onClose={onClose} />);
    await press('Close');
    expect(onClose).toHaveBeenCalledTimes(1);
  });
});

describe('a screen that failed', () => {
  it('says that nothing is lost, what it was, and tries again', async () => {
    const retry = jest.fn(() => Promise.resolve());
    await works.show(<FailedScreen error={new Error('No bin')} retry={retry} />);
    expect(words()).toMatch(/What you recorded is kept\..*No bin/);
    await press('Try again');
    expect(retry).toHaveBeenCalledTimes(1);
  });
});

describe('what opens over the screen', () => {
  it('gives the focus back to where it was opened, or to the content where that is gone', async () => {
    const Screen = ({ isKeyLost }: { readonly isKeyLost: boolean }): ReactElement => {
      const [isOpen, setIsOpen] = useState(false);
      const [hasKey, setHasKey] = useState(true);
      const close = (): void => {
        setIsOpen(false);
        setHasKey(!isKeyLost);
      };
      return (
        <View>
          {hasKey ? <Button word="Open" onPress={() => setIsOpen(true)} /> : null}
          <View role="main" />
          {isOpen ? (
            <BottomSheet title="Over it" onClose={close}>
              <AppText>Words</AppText>
            </BottomSheet>
          ) : null}
        </View>
      );
    };
    const focused = (): string | null | undefined =>
      document.activeElement?.getAttribute('role') === 'main' ? 'the content' : document.activeElement?.textContent;
    for (const isKeyLost of [false, true]) {
      await works.show(<Screen isKeyLost={isKeyLost} />);
      act(() => screen.getByRole('button', { name: 'Open' }).focus());
      await press('Open');
      expect(screen.getByRole('dialog').contains(document.activeElement)).toBe(true);
      await press('Close');
      expect(focused()).toBe(isKeyLost ? 'the content' : 'Open');
    }
  });
});

describe('a notice', () => {
  it('with its Undo stays while somebody is at it', async () => {
    const onDismiss = jest.fn();
    const onHold = jest.fn();
    const undo = { milliseconds: 60, onUndo: jest.fn(), onHold };
    const passed = (): Promise<unknown> => act(() => new Promise((resolve) => setTimeout(resolve, 120)));
    await works.show(<NoticeSnackbar text="Kept." undo={undo} onOpen={null} onDismiss={onDismiss} />);
    act(() => screen.getByRole('button', { name: 'Undo' }).focus());
    await passed();
    expect([onDismiss.mock.calls.length, onHold.mock.calls]).toEqual([0, [[true]]]);
    act(() => screen.getByRole('button', { name: 'Undo' }).blur());
    await passed();
    expect([onDismiss.mock.calls.length, onHold.mock.calls.at(-1)]).toEqual([1, [false]]);
  });
});

import { act } from '@testing-library/react';
import type { ComponentType } from 'react';
import { smallWorks } from '@oilcan/core/testing';
import { canPress, press, words } from '../testing/hands';
import { TestWorks } from '../testing/works';
import { FailedScreen } from './failed-screen';
import { piece } from './piece';
import { Words } from './words';

let works: TestWorks;
beforeEach(async () => {
  works = await TestWorks.open(smallWorks());
});
afterEach(() => works.close());

describe('a piece', () => {
  const Greeting = ({ name }: { readonly name: string }) => <Words>Good morning, {name}.</Words>;

  it('shows what stands in its place until it is loaded, and is there at once the next time', async () => {
    let bring: (component: typeof Greeting) => void = () => undefined;
    const get = jest.fn(() => new Promise<typeof Greeting>((resolve) => (bring = resolve)));
    const Piece = piece(get, <Words>One moment …</Words>);
    await works.show(<Piece name="Ann" />);
    expect(words()).toBe('One moment …');
    await act(async () => bring(Greeting));
    expect(words()).toBe('Good morning, Ann.');
    await works.show(<Piece name="Bob" />);
    expect([words(), get.mock.calls.length]).toEqual(['Good morning, Bob.', 1]);
  });

  it('that was loaded beforehand does not make anybody wait', async () => {
    const Piece = piece(() => Promise.resolve(Greeting), <Words>One moment …</Words>);
    await Piece.load();
    await works.show(<Piece name="Ann" />);
    expect(words()).toBe('Good morning, Ann.');
  });

  it('that cannot be loaded says so, and leaves the rest as it is', async () => {
    const Piece = piece(() => Promise.reject<typeof Greeting>(new Error('No line')));
    await works.show(
      <>
        <Words>The rest.</Words>
        <Piece name="Ann" />
      </>,
    );
    expect(words()).toMatch(/The rest\.This part of Oilcan could not be loaded\. What you recorded is kept\./);
    expect(canPress('Close')).toBe(false);
  });

  it('that opens over the rest and cannot be loaded can be closed', async () => {
    const Sheet = piece(() => Promise.reject<ComponentType<{ onClose: () => void }>>(new Error('No line')));
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

import { act, renderHook } from '@testing-library/react';
import { createRef, type RefObject } from 'react';
import { keepDepth, depthOf } from './trail';
import { useKeptScroll } from './use-kept-scroll';

/** A view that can be scrolled as far as what is in it goes, as a browser does it. */
function aView(content: number) {
  const node = document.createElement('div');
  let top = 0;
  const view = { content };
  Object.defineProperty(node, 'scrollTop', {
    get: () => top,
    set: (wanted: number) => void (top = Math.min(wanted, view.content)),
  });
  const scroller = createRef() as RefObject<{ getScrollableNode: () => unknown } | null>;
  scroller.current = { getScrollableNode: () => node };
  return { node, view, scroller };
}
const scrolledTo = (y: number) => ({ nativeEvent: { contentOffset: { x: 0, y } } }) as never;

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

describe('a view that somebody comes back to', () => {
  const comeBack = () => {
    keepDepth('/shift/w-1', 500);
    const { node, view, scroller } = aView(300);
    const { result, unmount } = renderHook(() => useKeptScroll('/shift/w-1', scroller));
    const grow = (content: number): void => {
      view.content = content;
      result.current.onContentSizeChange();
    };
    grow(300);
    return { node, grow, result, unmount };
  };

  it('is as far down as it was, once so much of it is there, and stays there while more comes', () => {
    const { node, grow } = comeBack();
    expect(node.scrollTop).toBe(300);
    grow(900);
    expect(node.scrollTop).toBe(500);
    // What came further up pushed on what was in sight.
    node.scrollTop = 661;
    grow(1_061);
    expect(node.scrollTop).toBe(500);
  });

  it('keeps where it was while not all of it is there', () => {
    const { result, unmount } = comeBack();
    result.current.onScroll(scrolledTo(300));
    unmount();
    expect(depthOf('/shift/w-1')).toBe(500);
  });

  it.each(['pointerdown', 'touchstart', 'wheel', 'keydown'])('follows the person from their first %s on', (input) => {
    const { node, grow, result } = comeBack();
    document.body.dispatchEvent(new Event(input, { bubbles: true }));
    node.scrollTop = 120;
    result.current.onScroll(scrolledTo(120));
    grow(900);
    expect([node.scrollTop, depthOf('/shift/w-1'), node.style.overflowAnchor]).toEqual([120, 120, '']);
  });

  it('is let go once nothing more comes', () => {
    const { node, grow } = comeBack();
    act(() => void jest.advanceTimersByTime(1_500));
    grow(900);
    act(() => void jest.advanceTimersByTime(1_500));
    expect(node.style.overflowAnchor).toBe('none');
    act(() => void jest.advanceTimersByTime(1_500));
    node.scrollTop = 120;
    grow(1_000);
    expect([node.scrollTop, node.style.overflowAnchor]).toEqual([120, '']);
  });
});

it('leaves a view that is opened anew at its top', () => {
  const { node, scroller } = aView(900);
  const { result } = renderHook(() => useKeptScroll('/shift/w-2', scroller));
  result.current.onContentSizeChange();
  expect([node.scrollTop, node.style.overflowAnchor]).toEqual([0, undefined]);
  result.current.onScroll(scrolledTo(40));
  expect(depthOf('/shift/w-2')).toBe(40);
});

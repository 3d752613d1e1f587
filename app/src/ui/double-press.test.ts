import type { GestureResponderEvent } from 'react-native';
import { forgetPress, isPressedTwice } from './double-press';

const key = {} as EventTarget;
const pressed = (clientX: number, clientY: number, at: number, target = key, detail = 1) =>
  isPressedTwice({ nativeEvent: { clientX, clientY, detail, target } } as unknown as GestureResponderEvent, at);
beforeEach(forgetPress);

describe('a press', () => {
  it('is the second half of one before it, at the same place and soon, whatever lies there now', () => {
    expect(pressed(100, 100, 0)).toBe(false);
    expect(pressed(104, 96, 60, {} as EventTarget)).toBe(true);
    expect(pressed(104, 96, 400)).toBe(true);
    expect(pressed(104, 96, 800)).toBe(false);
  });

  it('is one of its own elsewhere, or by another hand', () => {
    expect(pressed(100, 100, 0)).toBe(false);
    expect(pressed(100, 150, 60)).toBe(false);
    expect(pressed(0, 0, 120, key, 0)).toBe(false);
  });

  it('is one of its own after something was typed, or another place was touched', () => {
    expect(pressed(100, 100, 0)).toBe(false);
    window.dispatchEvent(new Event('input'));
    expect(pressed(100, 100, 50)).toBe(false);
    window.dispatchEvent(Object.assign(new Event('pointerdown'), { clientX: 104, clientY: 100 }));
    expect(pressed(100, 100, 100)).toBe(true);
    window.dispatchEvent(Object.assign(new Event('pointerdown'), { clientX: 300, clientY: 100 }));
    expect(pressed(100, 100, 150)).toBe(false);
  });

  it('by the keyboard comes as it is', () => {
    expect(isPressedTwice({ target: key, key: 'Enter' } as unknown as GestureResponderEvent, 0)).toBe(false);
    expect(isPressedTwice({ target: key, key: 'Enter' } as unknown as GestureResponderEvent, 30)).toBe(true);
  });

  it('of a key that is held down is one', () => {
    const held = [0, 30, 60, 90].map((at) => pressed(0, 0, at, key, 0));
    expect(held).toEqual([false, true, true, true]);
    expect(pressed(0, 0, 120, {} as EventTarget, 0)).toBe(false);
  });
});

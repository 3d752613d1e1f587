import type { GestureResponderEvent } from 'react-native';
import { forgetPress, isOfEcho, isPressedTwice, noteRecording } from './double-press';

const key = {} as EventTarget;
const pressed = (clientX: number, clientY: number, at: number, target = key, detail = 1) =>
  isPressedTwice(
    { nativeEvent: { clientX, clientY, detail }, currentTarget: target } as unknown as GestureResponderEvent,
    at,
  );
beforeEach(forgetPress);

const another = {} as EventTarget;

describe('a press', () => {
  it('is the second half of one that recorded something, at the same place and soon', () => {
    expect(pressed(100, 100, 0)).toBe(false);
    noteRecording();
    expect(pressed(104, 96, 60)).toBe(true);
    expect(pressed(104, 96, 400)).toBe(true);
    expect(pressed(104, 96, 800)).toBe(false);
  });

  it('of another key that lies there by now may open something, and records nothing', () => {
    expect([pressed(100, 100, 0), isOfEcho(0)]).toEqual([false, false]);
    noteRecording();
    expect([pressed(104, 96, 60, another), isOfEcho(61), isOfEcho(500)]).toEqual([false, true, false]);
    expect([pressed(104, 96, 500, another), isOfEcho(500)]).toEqual([false, false]);
  });

  it('is one of its own where the key only asked, elsewhere, or by another hand', () => {
    expect(pressed(100, 100, 0)).toBe(false);
    expect(pressed(100, 100, 60)).toBe(false);
    noteRecording();
    expect(pressed(100, 150, 120)).toBe(false);
    noteRecording();
    expect(pressed(0, 0, 180, key, 0)).toBe(false);
  });

  it('is one of its own after something was typed, or another place was touched', () => {
    const again = (at: number): boolean => {
      const isTwice = pressed(100, 100, at);
      noteRecording();
      return isTwice;
    };
    expect(again(0)).toBe(false);
    window.dispatchEvent(new Event('input'));
    expect(again(50)).toBe(false);
    window.dispatchEvent(Object.assign(new Event('pointerdown'), { clientX: 104, clientY: 100 }));
    expect(again(100)).toBe(true);
    window.dispatchEvent(Object.assign(new Event('pointerdown'), { clientX: 300, clientY: 100 }));
    expect(again(150)).toBe(false);
  });

  it('by the keyboard comes as it is, and of a key that is held is one', () => {
    const held = (at: number) => isPressedTwice({ target: key, key: 'Enter' } as unknown as GestureResponderEvent, at);
    expect(held(0)).toBe(false);
    noteRecording();
    expect([30, 60, 90].map(held)).toEqual([true, true, true]);
    expect(pressed(0, 0, 120, another, 0)).toBe(false);
  });
});

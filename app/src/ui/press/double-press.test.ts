import type { GestureResponderEvent } from 'react-native';
import { forgetPress, isOfEcho, isPressedTwice, noteRecording } from './double-press';

const key = {} as EventTarget;
const pressed = (clientX: number, clientY: number, at: number, target = key, detail = 1, heardAt = at) =>
  isPressedTwice(
    {
      nativeEvent: { clientX, clientY, detail, timeStamp: at },
      currentTarget: target,
    } as unknown as GestureResponderEvent,
    heardAt,
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

  it('counts from when the hand pressed, however late a busy page hears of it', () => {
    pressed(100, 100, 0, key, 1, 700);
    noteRecording();
    expect(pressed(100, 100, 90, key, 1, 1_500)).toBe(true);
    expect(pressed(100, 100, 100, another, 1, 2_000)).toBe(false);
    expect([isOfEcho(2_100), isOfEcho(2_400)]).toEqual([true, false]);
  });

  it('is the second half where the device itself calls it a double press', () => {
    pressed(100, 100, 0);
    noteRecording();
    expect(pressed(100, 100, 480, key, 2)).toBe(true);
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
    const held = (at: number) =>
      isPressedTwice({ target: key, key: 'Enter', timeStamp: at } as unknown as GestureResponderEvent, at);
    expect(held(0)).toBe(false);
    noteRecording();
    expect([30, 60, 90].map(held)).toEqual([true, true, true]);
    expect(pressed(0, 0, 120, another, 0)).toBe(false);
  });
});

import { keepFocus, watchFocus } from './keep-focus';

const LATER_MILLISECONDS = 200;

let end: () => void;
beforeEach(() => {
  jest.useFakeTimers();
  end = keepFocus();
  document.body.innerHTML = `<div role="main"><div id="row"><button id="key">Read</button></div><button id="other">Other</button></div><a id="foot" href="#">Shift</a>`;
});
afterEach(() => {
  end();
  jest.useRealTimers();
});

const at = (id: string): HTMLElement => document.getElementById(id) as HTMLElement;
const focused = (): string | null =>
  document.activeElement?.id || (document.activeElement?.getAttribute('role') ?? null);
const later = (): void => void jest.advanceTimersByTime(LATER_MILLISECONDS);

describe('the focus', () => {
  it('stays in what a key lay in that went with what it did', () => {
    at('key').focus();
    at('key').click();
    at('key').remove();
    expect(focused()).toBeNull();
    later();
    expect(focused()).toBe('row');
  });

  it('goes to the content where all of it is gone, however late that comes', () => {
    at('key').focus();
    document.body.innerHTML = '';
    watchFocus();
    later();
    expect(focused()).toBeNull();
    document.body.innerHTML = '<div role="main"></div>';
    later();
    expect(focused()).toBe('main');
  });

  it('is left alone where somebody pressed beside everything, or is elsewhere', () => {
    at('key').focus();
    at('key').blur();
    document.body.click();
    later();
    expect(focused()).toBeNull();
    // Also where that was in no place of the page's own, as the places at its foot are.
    at('foot').focus();
    at('foot').blur();
    document.body.click();
    later();
    expect(focused()).toBeNull();
    at('other').focus();
    at('key').remove();
    watchFocus();
    later();
    expect(focused()).toBe('other');
  });
});

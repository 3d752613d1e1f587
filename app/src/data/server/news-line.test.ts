import { openNewsLine } from './news-line';

class PretendLine {
  readyState = 0;
  isClosed = false;
  readonly #listeners = new Map<string, () => void>();

  addEventListener(name: string, listener: () => void): void {
    this.#listeners.set(name, listener);
  }

  close(): void {
    this.isClosed = true;
  }

  tell(name: string, readyState: number): void {
    this.readyState = readyState;
    this.#listeners.get(name)?.();
  }
}

let lines: PretendLine[];
let heard: string[];
const open = () =>
  openNewsLine({
    open: () => {
      const line = new PretendLine();
      lines.push(line);
      return line as unknown as EventSource;
    },
    onNews: () => heard.push('news'),
    onOpen: () => heard.push('open'),
  });

beforeEach(() => {
  [lines, heard] = [[], []];
  jest.useFakeTimers();
});
afterEach(() => jest.useRealTimers());

describe('the line to the news', () => {
  it('is opened anew after an answer that is no news, ever more rarely, until it stands', () => {
    const end = open();
    const gaps: number[] = [];
    for (let time = 0; time < 5; time += 1) {
      lines.at(-1)?.tell('error', 2);
      const before = lines.length;
      let waited = 0;
      for (; lines.length === before && waited < 600_000; waited += 500) jest.advanceTimersByTime(500);
      gaps.push(waited);
    }
    expect(lines).toHaveLength(6);
    expect(gaps.at(-1)).toBeGreaterThan(gaps[0] ?? Infinity);
    lines.at(-1)?.tell('open', 1);
    lines.at(-1)?.tell('news', 1);
    expect(heard).toEqual(['open', 'news']);
    end();
    expect(lines.at(-1)?.isClosed).toBe(true);
  });

  it('is left to the browser while that mends it, and never opened again once it is ended', () => {
    const end = open();
    lines[0]?.tell('error', 0);
    jest.advanceTimersByTime(600_000);
    expect(lines).toHaveLength(1);
    lines[0]?.tell('error', 2);
    end();
    jest.advanceTimersByTime(600_000);
    expect(lines).toHaveLength(1);
  });
});

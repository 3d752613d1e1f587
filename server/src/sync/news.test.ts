import type { ServerResponse } from 'node:http';
import { News } from './news';

let news: News;
let told: string[];
beforeEach(() => {
  jest.useFakeTimers();
  news = new News();
  told = [];
  const response = {
    on: () => response,
    write: (text: string) => told.push(text.trim()),
    end: () => told.push('end'),
  };
  news.listen(response as unknown as ServerResponse);
  told.length = 0;
});
afterEach(() => {
  news.close();
  jest.useRealTimers();
});

const revisions = (): string[] => told.flatMap((text) => /data: (\d+)/.exec(text)?.[1] ?? []);

describe('news', () => {
  it('are told at once after a quiet while, then at most once a second, the newest', () => {
    for (const revision of [1, 2, 3, 4]) news.tell(revision);
    expect(revisions()).toEqual(['1']);
    jest.advanceTimersByTime(1_000);
    expect(revisions()).toEqual(['1', '4']);
    jest.advanceTimersByTime(5_000);
    expect(revisions()).toEqual(['1', '4']);
    news.tell(5);
    expect(revisions()).toEqual(['1', '4', '5']);
  });

  it('show between them that the line is alive, and end with the server', () => {
    jest.advanceTimersByTime(25_000);
    expect(told).toEqual([':']);
    news.close();
    expect(told.at(-1)).toBe('end');
  });
});

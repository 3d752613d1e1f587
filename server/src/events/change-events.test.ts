import type { ServerResponse } from 'node:http';
import { ChangeEvents } from './change-events';
import { PRESENT } from '../testing/test-clock';

let events: ChangeEvents;
let told: string[];
const here = new Set(['site:here']);
const there = new Set(['site:there']);

/** A line of somebody who hears of these; what was written on it. */
function listen(audiences: ReadonlySet<string>, session = 's-1'): string[] {
  const written: string[] = [];
  const response = {
    on: () => response,
    write: (text: string) => written.push(text.trim()),
    end: () => written.push('end'),
  };
  events.listen(response as unknown as ServerResponse, {
    audiences,
    audiencesNow: () => Promise.resolve(there),
    session,
  });
  written.length = 0;
  return written;
}

beforeEach(() => {
  jest.useFakeTimers({ now: PRESENT });
  events = new ChangeEvents();
  told = listen(here);
});
afterEach(() => {
  events.close();
  jest.useRealTimers();
});

const revisions = (): string[] => told.flatMap((text) => /data: (\d+)/.exec(text)?.[1] ?? []);

describe('change events', () => {
  it('are told at once after a quiet while, then at most once a second, the newest', () => {
    for (const revision of [1, 2, 3, 4]) events.tell(revision, here);
    expect(revisions()).toEqual(['1']);
    jest.advanceTimersByTime(1_000);
    expect(revisions()).toEqual(['1', '4']);
    jest.advanceTimersByTime(5_000);
    expect(revisions()).toEqual(['1', '4']);
    events.tell(5, here);
    expect(revisions()).toEqual(['1', '4', '5']);
  });

  it('are told to those whom they concern, and to nobody else', () => {
    const elsewhere = listen(new Set(['site:there', 'person:bob']));
    events.tell(1, here);
    jest.advanceTimersByTime(5_000);
    expect([revisions(), elsewhere]).toEqual([['1'], []]);
    events.tell(2, new Set(['person:bob']));
    jest.advanceTimersByTime(5_000);
    expect([revisions(), elsewhere.length]).toEqual([['1'], 1]);
  });

  it('end with the session in which the line was opened', () => {
    const other = listen(here, 's-2');
    events.endSessions(new Set(['s-2']));
    expect([told, other]).toEqual([[], ['end']]);
  });

  it('show between them that the line is alive, and end with the server', () => {
    jest.advanceTimersByTime(25_000);
    expect(told).toEqual([':']);
    events.close();
    expect(told.at(-1)).toBe('end');
  });

  it('follow who carries what when that changes', async () => {
    await events.scopesChanged();
    events.tell(1, here);
    expect(revisions()).toEqual([]);
    events.tell(2, there);
    expect(revisions()).toEqual(['2']);
  });

  it('are told to everybody where another server wrote and did not get to say so', () => {
    events.look(10);
    events.look(20);
    expect(revisions()).toEqual([]);
    events.look(20);
    expect(revisions()).toEqual(['20']);
    events.look(20);
    jest.advanceTimersByTime(5_000);
    expect(revisions()).toEqual(['20']);
  });
});

import type * as Reader from './read-past';

type Listener = (event: { readonly data: unknown }) => void;

/** A worker that does what a test lets it do. */
class HeldWorker {
  static readonly started: HeldWorker[] = [];
  readonly asked: unknown[] = [];
  isOver = false;
  readonly #listeners: [what: string, listener: Listener][] = [];

  constructor() {
    HeldWorker.started.push(this);
  }

  addEventListener(what: string, listener: Listener): void {
    this.#listeners.push([what, listener]);
  }

  tell(what: 'message' | 'error', data: unknown = undefined): void {
    for (const [of, listener] of this.#listeners) if (of === what) listener({ data });
  }

  postMessage(question: unknown): void {
    this.asked.push(question);
  }

  terminate(): void {
    this.isOver = true;
  }
}

const question = { text: '{}' } as Reader.PastQuestion;
const said = { findings: {}, usual: null, asOf: '', cutAt: null };
const rows = { jobs: [], modes: [] };

/** Anew for each test, with no worker begun. */
async function reader(): Promise<typeof Reader> {
  jest.resetModules();
  HeldWorker.started.length = 0;
  Object.assign(globalThis, { Worker: HeldWorker });
  return import('./read-past');
}

describe('reading a past in a worker', () => {
  it('tells what it says first, then the whole, and ends the worker', async () => {
    const { readPast } = await reader();
    const told: unknown[] = [];
    readPast(question, (past) => told.push(past));
    const [worker] = HeldWorker.started;
    worker?.tell('message', said);
    expect([told, worker?.isOver]).toEqual([[said], false]);
    worker?.tell('message', rows);
    expect([told[1], worker?.isOver]).toEqual([{ ...said, ...rows }, true]);
  });

  it('tells nothing of what is damaged, or of a worker that failed', async () => {
    const { readPast } = await reader();
    const told: unknown[] = [];
    readPast(question, (past) => told.push(past));
    HeldWorker.started[0]?.tell('message', null);
    readPast(question, (past) => told.push(past));
    HeldWorker.started[1]?.tell('error');
    expect(told).toEqual([null, null]);
    expect(HeldWorker.started.map(({ isOver }) => isOver)).toEqual([true, true]);
  });

  it('uses the worker that was started ahead once, and not one that could not start', async () => {
    const { prepareToRead, readPast } = await reader();
    prepareToRead();
    prepareToRead();
    readPast(question, () => undefined);
    expect(HeldWorker.started.map(({ asked }) => asked)).toEqual([[question]]);
    prepareToRead();
    HeldWorker.started[1]?.tell('error');
    readPast(question, () => undefined);
    expect(HeldWorker.started.map(({ asked }) => asked.length)).toEqual([1, 0, 1]);
  });
});

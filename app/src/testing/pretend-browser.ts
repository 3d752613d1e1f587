import { TextDecoder, TextEncoder } from 'node:util';
import { readAnswer } from '../data/past/read-answer';
import type { PastQuestion } from '../data/past/read-past';

/** What the browser that tests have is without. */
export function completeBrowser(): void {
  AbortSignal.timeout = () => new AbortController().signal;
  Element.prototype.scrollIntoView = () => undefined;
  performance.getEntriesByName = () => [];
  performance.mark = () => ({}) as PerformanceMark;
  globalThis.Worker = TestWorker as unknown as typeof Worker;
  Object.assign(globalThis, { TextDecoder, TextEncoder, matchMedia: () => ({ matches: false }) });
}

/** Works in this process, on the same thread. */
class TestWorker {
  readonly #name: string;
  #onMessage: (event: { readonly data: unknown }) => void = () => undefined;

  constructor(path: string) {
    this.#name = path;
  }

  addEventListener(what: string, listener: (event: { readonly data: unknown }) => void): void {
    if (what === 'message') this.#onMessage = listener;
  }

  postMessage(question: unknown): void {
    if (this.#name !== '/workers/past.js') throw new Error(`Nobody does ${this.#name} here.`);
    queueMicrotask(() => {
      const { jobs, modes, ...said } = readAnswer(question as PastQuestion);
      this.#onMessage({ data: said });
      this.#onMessage({ data: { jobs, modes } });
    });
  }

  terminate(): void {
    this.#onMessage = () => undefined;
  }
}

/** All but the clocks. */
export const timersButClocks = [
  'hrtime',
  'nextTick',
  'queueMicrotask',
  'requestAnimationFrame',
  'cancelAnimationFrame',
  'requestIdleCallback',
  'cancelIdleCallback',
  'setImmediate',
  'clearImmediate',
  'setInterval',
  'clearInterval',
  'setTimeout',
  'clearTimeout',
] as const;

import { act, cleanup, configure, render } from '@testing-library/react';
import type { FoundWork } from '@oilcan/core/overview/find';
import type { ReactElement, ReactNode } from 'react';
import { SafeAreaProvider } from 'react-native-safe-area-context';
import {
  asId,
  instantFromMillis,
  OilcanError,
  toMillis,
  type FileId,
  type Instant,
  type WorkOrderId,
} from '@oilcan/core/kernel';
import type { Operation } from '@oilcan/core/operations';
import type { Person } from '@oilcan/core/plant/people';
import type { Change } from '@oilcan/core/records';
import { statusFor } from '@oilcan/core/registry';
import type { PushAnswer } from '@oilcan/core/sync';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { ann, noon, workId } from '@oilcan/core/testing';
import { undoAccepting } from '../data/store/accepting';
import { dropRejected, openPhone, signIn, signOut, synchronize, usePhone, useRow } from '../data/store/store';
import { machineMillis } from '../data/browser/machine-clock';
import { Unreachable } from '../data/server/server-link';
import { TestServer } from '../data/testing/test-server';
import { forgetChoices } from '../ui/state/kept-choice';
import { topBarMarks } from '../features/frame/frame/top-bar-marks';
import { MarksContext } from '../features/frame/page/marks';
import { useNotice } from '../ui/state/use-notice';
import { settled } from './hands';
import { completeBrowser, timersButClocks } from './pretend-browser';
import { ThemeProvider } from '../ui/theme/theme';

// A missing piece is named; the whole page with it says less.
configure({ getElementError: (message) => new Error(message ?? 'Something is not on the screen.') });

const LATER_MILLISECONDS = 3_600_000;
const PHONE = { width: 390, height: 844 };
const WIDE = { width: 1_280, height: 800 };

/** The time of day in a test, which is made up once its screens are open. */
export const presentOfTest = (): Instant => instantFromMillis(machineMillis());

/** Lets the time of day go on; what waits, waits as it does. */
export function passTime(milliseconds: number): void {
  jest.setSystemTime(machineMillis() + milliseconds);
}

/** The screens of one person's phone, over the real server's synchronization in memory. */
export class TestWorks {
  readonly server: TestServer;
  /** What `/api/past` gives; nothing for no signal. */
  past = '';
  /** What `/api/find` gives. */
  found: readonly FoundWork[] = [];
  /** The machines of labels that this phone does not know, and the files of documents. */
  readonly labels = new Map<string, OilcanError | { readonly assetId: string }>();
  readonly documents = new Map<string, Uint8Array>();
  /** What other routes answer, by method and path; null for that it was done, an error for a problem. Each question is noted with its body. */
  readonly answers = new Map<string, unknown>();
  readonly questions: { readonly route: string; readonly body: unknown }[] = [];

  private constructor(server: TestServer) {
    this.server = server;
  }

  /** An hour after noon, with these rows on the phone. */
  static async open(rows: readonly Change[], person: Person = ann): Promise<TestWorks> {
    // Only the time of day is made up: what waits, waits as it does.
    jest.useFakeTimers({ now: toMillis(noon) + LATER_MILLISECONDS, doNotFake: [...timersButClocks] });
    localStorage.clear();
    const works = new TestWorks(await TestServer.open(rows, presentOfTest));
    globalThis.fetch = works.#answering(person);
    completeBrowser();
    await openPhone();
    await signIn(person.name, 'secret');
    await synchronize();
    return works;
  }

  async close(): Promise<void> {
    cleanup();
    undoAccepting();
    useNotice.getState().clear();
    forgetChoices();
    await this.#forgetUnsent();
    await signOut();
    await this.server.close();
    jest.useRealTimers();
  }

  /** What one test did not send is not for the next one's server. */
  async #forgetUnsent(): Promise<void> {
    this.server.signal = 'good';
    await synchronize();
    for (const { operation, where } of usePhone.getState().kept)
      if (where === 'rejected') await dropRejected(operation.id);
  }

  /** Draws it as on a phone, or on a wide screen. */
  async show(element: ReactElement, { isWide = false }: { readonly isWide?: boolean } = {}): Promise<void> {
    cleanup();
    const { width, height } = isWide ? WIDE : PHONE;
    Object.defineProperties(document.documentElement, {
      clientWidth: { value: width, configurable: true },
      clientHeight: { value: height, configurable: true },
    });
    window.dispatchEvent(new Event('resize'));
    // There is no layout here, and most of a test's time would go into matching hundreds of rules for every name looked up.
    document.getElementById('react-native-stylesheet')?.remove();
    render(
      <SafeAreaProvider>
        <ThemeProvider>
          <MarksContext value={topBarMarks}>{element}</MarksContext>
        </ThemeProvider>
      </SafeAreaProvider>,
    );
    await settled();
  }

  /** What the server has, once everything is sent. */
  async sent(): Promise<TestServer['records']> {
    await act(async () => synchronize());
    return this.server.records;
  }

  /** What was said in the notice at the foot of the screen. */
  get said(): string | null {
    return useNotice.getState().text;
  }

  /** A label or a file, when there is signal. */
  #given(path: string): unknown {
    if (this.server.signal === 'none') throw new Unreachable();
    const [, , kind, name = ''] = path.split('/');
    const given = kind === 'codes' ? this.labels.get(decodeURIComponent(name)) : this.documents.get(name);
    if (given === undefined) throw new OilcanError('not_found', { what: kind ?? '' });
    if (given instanceof OilcanError) throw given;
    return given;
  }

  #answering(person: Person): typeof fetch {
    const link = this.server.linkOf(person);
    const answers: Readonly<Record<string, (url: URL, init: RequestInit) => Promise<unknown>>> = {
      'POST /api/session': () => Promise.resolve({ person }),
      'DELETE /api/session': () => Promise.resolve(null),
      'POST /api/operations': (_, { body }): Promise<PushAnswer> =>
        link.push((JSON.parse(String(body)) as { operations: Operation[] }).operations),
      'GET /api/sync': ({ searchParams }) =>
        link.pull({
          since: Number(searchParams.get('since')),
          isFilling: searchParams.get('filling') === 'true',
          device: searchParams.get('device'),
          tablesAfter: searchParams.has('tablesAfter') ? Number(searchParams.get('tablesAfter')) : null,
        }),
      'GET /api/find': () =>
        this.server.signal === 'none' ? Promise.reject(new TypeError()) : Promise.resolve({ works: this.found }),
      'GET /api/past': () => Promise.resolve(JSON.parse(this.past)),
    };
    return async (input, init = {}) => {
      const url = new URL(String(input), 'http://oilcan.test');
      const route = `${init.method ?? 'GET'} ${url.pathname}`;
      const answer = answers[route];
      const parts = url.pathname.split('/');
      try {
        if (this.answers.has(route)) {
          this.questions.push({ route, body: typeof init.body === 'string' ? JSON.parse(init.body) : null });
          const prepared = this.answers.get(route);
          if (prepared instanceof Error) throw prepared;
          return answered(prepared === null ? DONE : 200, prepared);
        }
        if (answer !== undefined) {
          const given = await answer(url, init);
          return answered(given === null ? DONE : 200, given);
        }
        if (url.pathname.startsWith('/api/work/')) {
          return answered(200, await link.work(asId<WorkOrderId>(parts.at(-1) ?? '')));
        }
        if (url.pathname.endsWith('/received')) {
          return answered(200, await link.received(asId<FileId>(parts.at(-2) ?? '')));
        }
        const given = this.#given(url.pathname);
        if (given instanceof Uint8Array)
          return { ...answered(200, null), arrayBuffer: () => Promise.resolve(given.slice().buffer) };
        return answered(200, given);
      } catch (error) {
        if (!(error instanceof OilcanError)) throw error;
        return answered(statusFor(error.code), { code: error.code, values: error.values, field: error.field });
      }
    };
  }
}

/** There is nothing to say but that it was done. */
const DONE = 204;

function answered(status: number, body: unknown): Response {
  const text = JSON.stringify(body);
  const ok = status < 400;
  return { ok, status, text: () => Promise.resolve(text) } as Response;
}

/** Draws with the work order that everything here is about, as it stands. */
export function OnWork({ children }: { readonly children: (work: WorkOrder) => ReactNode }): ReactNode {
  const work = useRow('workOrders', workId);
  return work === undefined ? null : children(work);
}

/** What this phone answers for, and where it is. */
export function kept(): string[] {
  return usePhone.getState().kept.map(({ operation, where }) => `${operation.name} ${where}`);
}

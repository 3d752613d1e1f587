import { test as base, expect, type BrowserContextOptions, type Page } from '@playwright/test';
import { DemoServer } from './demo-server';

export const phone: BrowserContextOptions = { viewport: { width: 390, height: 844 }, hasTouch: true };
export const wide: BrowserContextOptions = { viewport: { width: 1280, height: 800 }, hasTouch: false };

/**
 * What tests bring about themselves: what the browser says of a request that was refused, found no signal or was answered by somebody else,
 * and what comes of a service worker that is blocked, in whose place there is nothing.
 */
const BROUGHT_ABOUT =
  /^Failed to load resource|net::ERR_|^EventSource's response has a MIME type|property 'waiting' of 'undefined'/;

/** Notes what a page complains of. */
function complaintsOf(page: Page, noted: string[]): void {
  const note = (text: string): void => {
    if (!BROUGHT_ABOUT.test(text)) noted.push(text);
  };
  page.on('console', (message) => {
    if (message.type() === 'error') note(message.text());
  });
  page.on('pageerror', (error) => note(String(error)));
}

interface Works {
  /** Whether the test fails on a complaint in the console. */
  readonly readsConsole: boolean;
  readonly server: DemoServer;
  /** Opens the application in a browser of its own; with a name, signed in. */
  readonly open: (name: string | null, options?: BrowserContextOptions) => Promise<Page>;
}

/** A test on a works of its own: a real server with the demo data, and as many phones as it wants. */
export const test = base.extend<Works>({
  readsConsole: [true, { option: true }],
  // eslint-disable-next-line no-empty-pattern
  server: async ({}, use) => {
    const server = new DemoServer();
    await server.start();
    await use(server);
    await server.dispose();
  },
  open: async ({ browser, server, readsConsole }, use) => {
    const contexts: { close(): Promise<void> }[] = [];
    const complaints: string[] = [];
    await use(async (name, options = phone) => {
      const context = await browser.newContext({ baseURL: server.address, timezoneId: 'Europe/Vienna', ...options });
      contexts.push(context);
      const page = await context.newPage();
      complaintsOf(page, complaints);
      await page.goto('/');
      if (name !== null) {
        await page.getByRole('button', { name }).click();
        await expect(page.getByTestId('sent-mark')).toHaveText('All sent');
        // A lead begins on the Desk; every test here begins at the work.
        if (page.url().endsWith('/desk')) await page.getByRole('link', { name: 'Shift' }).click();
      }
      return page;
    });
    for (const context of contexts) await context.close();
    if (readsConsole) expect(complaints, 'in the console').toEqual([]);
  },
});

/** Counts what a thumb does: every press is one tap. */
export class Thumb {
  taps = 0;
  readonly page: Page;

  constructor(page: Page) {
    this.page = page;
  }

  async tap(target: ReturnType<Page['getByRole']>): Promise<void> {
    this.taps += 1;
    await target.tap();
  }

  /** A key of the dock that is folded away while one reads: a touch brings the dock whole, whatever folds it meanwhile. */
  async tapInDock(name: string): Promise<void> {
    this.taps += 1;
    await expect(async () => {
      await this.page.getByTestId('clock').focus();
      await this.button(name).tap({ timeout: 3_000 });
    }).toPass();
  }

  button(name: string | RegExp): ReturnType<Page['getByRole']> {
    return this.page.getByRole('button', { name, exact: typeof name === 'string' });
  }
}

export { expect };

import { test as base, expect, type BrowserContextOptions, type Page } from '@playwright/test';
import { DemoServer } from './demo-server';

export const phone: BrowserContextOptions = { viewport: { width: 390, height: 844 }, hasTouch: true };
export const wide: BrowserContextOptions = { viewport: { width: 1280, height: 800 }, hasTouch: false };

/** What the browser itself says of a request that was refused or found no signal, which tests bring about. */
const OF_THE_LINE = /^Failed to load resource|net::ERR_/;

/** Notes what a page complains of. */
function complaintsOf(page: Page, noted: string[]): void {
  page.on('console', (message) => {
    if (message.type() === 'error' && !OF_THE_LINE.test(message.text())) noted.push(message.text());
  });
  page.on('pageerror', (error) => noted.push(String(error)));
}

interface Works {
  /** What may be complained of in the console in this test; nothing where it is left out. */
  readonly mayComplain: RegExp | null;
  readonly server: DemoServer;
  /** Opens the application in a browser of its own; with a name, signed in. */
  readonly open: (name: string | null, options?: BrowserContextOptions) => Promise<Page>;
}

/** A test on a works of its own: a real server with the demo data, and as many phones as it wants. */
export const test = base.extend<Works>({
  mayComplain: [null, { option: true }],
  // eslint-disable-next-line no-empty-pattern
  server: async ({}, use) => {
    const server = new DemoServer();
    await server.start();
    await use(server);
    await server.dispose();
  },
  open: async ({ browser, server, mayComplain }, use) => {
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
    expect(complaints.filter((each) => mayComplain?.test(each) !== true)).toEqual([]);
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

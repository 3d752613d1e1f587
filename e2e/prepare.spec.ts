import { readFileSync } from 'node:fs';
import { execFileSync } from 'node:child_process';
import Database from 'better-sqlite3';
import type { Locator, Page } from '@playwright/test';
import { expect, phone, test, Thumb, wide } from './works';

/** So that everything of the application comes from the phone from now on. */
const kept = async (page: Page): Promise<void> => {
  await page.evaluate('navigator.serviceWorker.ready');
  await page.reload();
  await expect(page.getByTestId('sent-mark')).toHaveText('All sent');
};

/** The documents of one's machines come by themselves, one after the other: until no more come. */
async function documentsAreHere(page: Page): Promise<void> {
  const count = (): Promise<number> =>
    page.evaluate(
      () =>
        new Promise<number>((resolve) => {
          const request = indexedDB.open('oilcan');
          request.onsuccess = () => {
            const files = request.result.transaction('files').objectStore('files').count();
            files.onsuccess = () => {
              request.result.close();
              resolve(files.result);
            };
          };
        }),
    );
  let before = 0;
  await expect
    .poll(
      async () => {
        const now = await count();
        const isWhole = now >= 2 && now === before;
        before = now;
        return isWhole;
      },
      { intervals: [1_500] },
    )
    .toBe(true);
}

test('the past speaks in sentences, each opens its rows, and stays on the phone', async ({ open, server }) => {
  const ines = await open('Ines Okafor');
  await ines.getByText('Gearbox output seal weeping oil').tap();
  const sentence = ines.getByRole('link', { name: /failures in 3 years .*come faster and faster/ });
  await expect(sentence).toBeVisible();
  await expect(ines.getByText(/Usually \d\sh/)).toBeVisible();
  await sentence.tap();
  // Its rows are in sight at once, and a row leads there and back.
  await expect(ines.getByRole('heading', { name: 'The rows: Failures' })).toBeInViewport();
  const rows = ines.getByRole('link', { name: /Output shaft seal: oil, water or air leaks out/ });
  await expect(rows.first()).toBeInViewport();
  await expect(ines.getByText(/^1\d rows$/)).toBeVisible();
  await rows.first().tap();
  await ines.getByRole('button', { name: 'Back to where you were' }).tap();
  await expect(ines.getByRole('heading', { name: 'The rows: Failures' })).toBeVisible();
  await ines.getByRole('button', { name: 'Show all rows' }).tap();
  await ines.getByText('Pictures', { exact: true }).tap();
  await ines.getByRole('button', { name: /^What else it says/ }).tap();
  await expect(ines.getByRole('img', { name: /Failures each quarter/ })).toBeVisible();
  await expect(ines.getByRole('link', { name: /Time to repair.*half within/ })).toBeVisible();
  await ines.getByRole('button', { name: /^Find, period/ }).tap();
  await ines.getByLabel('Find in this past').fill('no such thing');
  await expect(ines.getByText('No row is all of this.')).toBeVisible();
  await ines.getByRole('button', { name: 'Show all rows' }).tap();
  await expect(ines.getByText(/^\d\d rows$/)).toBeVisible();
  await ines.getByRole('button', { name: 'Back to where you were' }).tap();
  await expect(ines.getByRole('heading', { name: 'Gearbox output seal weeping oil' })).toBeVisible();

  // The other machines of her open work came along by themselves.
  await expect
    .poll(() =>
      ines.evaluate(async () => {
        const names = (await caches.keys()).filter((name) => name.startsWith('oilcan-past'));
        const kept = await Promise.all(names.map(async (name) => (await caches.open(name)).keys()));
        return kept.flat().length;
      }),
    )
    .toBeGreaterThan(5);
  await ines.goto('/shift');
  await kept(ines);
  await server.stop();
  await ines.context().setOffline(true);
  await ines.goto('/plant/past/lark-service-brake');
  await expect(ines.getByText(/^No signal: as this phone had it/)).toBeVisible();
  const more = ines.getByRole('button', { name: /^What else it says/ });
  if (await more.isVisible()) await more.tap();
  await expect(ines.getByRole('link', { name: /failures? in 3 years/ })).toBeVisible();
  await ines.goto('/plant/past/lark-winch');
  await expect(ines.getByText('Its past is not on this phone. It comes when there is signal.')).toBeVisible();
});

test('on a wide screen the rows are sorted and saved as CSV', async ({ open }) => {
  const tess = await open('Tess Lindqvist', wide);
  await tess.goto('/plant/past/lark-gearbox');
  await tess.getByRole('button', { name: 'Worked' }).click();
  await expect(tess.getByRole('columnheader', { name: 'Worked' })).toHaveAttribute('aria-sort', /ascending|descending/);
  const waiting = tess.waitForEvent('download');
  await tess.getByRole('button', { name: 'Save as CSV' }).click();
  const download = await waiting;
  expect(download.suggestedFilename()).toBe('LRK-G1-work.csv');
  const csv = readFileSync(await download.path(), 'utf8');
  expect(csv).toMatch(/^\uFEFFWhen,Number,What,Fault,Kind,State,Worked,Machine,Note\r\n/);
  expect(csv.split('\r\n').length).toBeGreaterThan(40);
});

test('a place has its past, and the whole plant is beside it again once somebody goes there', async ({ open }) => {
  const tess = await open('Tess Lindqvist', wide);
  await tess.goto('/plant?place=top-drive');
  await tess.getByRole('button', { name: 'All of Top station' }).click();
  await tess.getByRole('button', { name: 'What happened here' }).click();
  await tess.getByRole('link', { name: /failures in/ }).click();
  await expect(tess.getByText('The rows: Failures')).toBeVisible();
  await tess.reload();
  await expect(tess.getByText('The rows: Failures')).toBeVisible();
  await tess.getByRole('link', { name: 'Plant', exact: true }).click();
  await expect(tess.getByRole('heading', { name: /stopped or not fully running/ })).toBeVisible();
});

test('energy is locked out in its order, and every lock is owed until it is off', async ({ open }) => {
  const ines = await open('Ines Okafor');
  await ines.getByText('Service brake lining below 5 mm').tap();
  await ines.getByRole('button', { name: /I have read/ }).tap();
  const key = (name: RegExp) => ines.getByRole('button', { name });
  await expect(ines.getByText('First shut the machine down.').first()).toBeVisible();
  await key(/The machine is shut down/).tap();
  await key(/My lock is on: Main switch/).tap();
  await expect(ines.getByText('First lock every point.')).toBeVisible();
  // Each of these keys takes the place of the one before, and a press that follows at once is the second of a double one.
  for (const name of [
    /My lock is on: Rope/,
    /Energy released: Rope/,
    /Tested: dead: Main switch/,
    /Tested: dead: Rope/,
  ]) {
    await key(name).tap();
    await ines.waitForTimeout(400);
  }
  await expect(ines.getByText('Isolation: locked and tested')).toBeVisible();
  await key(/Start my clock/).tap();
  await key(/Your lock is still on: Main switch/).tap();
  await expect(key(/Lock off: Main switch/)).toBeInViewport();
  await key(/Lock off: Main switch/).tap();
  await ines.waitForTimeout(400);
  await key(/Lock off: Rope/).tap();
  await expect(ines.getByText('Isolation: not shut down')).toBeVisible();
  await expect(ines.getByText(/is still on/)).toHaveCount(0);
});

test('a kit list is added up, ticked without signal, and shared with a mate', async ({ open }) => {
  const ines = await open('Ines Okafor');
  const thumb = new Thumb(ines);
  await thumb.tap(thumb.button('Kit list'));
  await thumb.tap(thumb.button(/^All of today’s/));
  // Two taps from the list to everything that today's jobs need.
  expect(thumb.taps).toBe(2);
  await expect(ines.getByRole('heading', { name: /parts and \d+ tools for \d jobs/ })).toBeVisible();
  await expect(ines.getByRole('heading', { name: 'Tools', exact: true })).toBeVisible();
  await ines.getByRole('button', { name: 'Share' }).tap();
  await ines.getByRole('checkbox', { name: 'Jonas Reith' }).tap();
  await ines.keyboard.press('Escape');
  await expect(ines.getByTestId('sent-mark')).toHaveText('All sent');

  const jonas = await open('Jonas Reith');
  await jonas.getByRole('button', { name: 'Kit list' }).tap();
  await jonas.getByRole('radio', { name: 'Ines Okafor' }).tap();
  const line = /Shaft seal 70/;
  await jonas.getByRole('checkbox', { name: line }).tap();
  await expect(ines.getByText('In the bag by Jonas Reith')).toBeVisible();

  await ines.context().setOffline(true);
  await ines.getByRole('checkbox', { name: /Brake lining/ }).tap();
  await expect(ines.getByRole('checkbox', { name: /Brake lining/ })).toBeChecked();
  await expect(ines.getByTestId('sent-mark')).toHaveText('1 on this phone');
  await ines.context().setOffline(false);
  await expect(jonas.getByText('In the bag by Ines Okafor')).toBeVisible();
});

/** Two fingers in the middle of the screen, drawn apart. */
async function pinch(page: Page, ratio: number): Promise<void> {
  const fingers = await page.context().newCDPSession(page);
  const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', apart: number): Promise<unknown> =>
    fingers.send('Input.dispatchTouchEvent', {
      type,
      touchPoints: apart === 0 ? [] : [195 - apart / 2, 195 + apart / 2].map((x, id) => ({ x, y: 400, id })),
    });
  await touch('touchStart', 100);
  for (let step = 1; step <= 5; step += 1) await touch('touchMove', 100 + (100 * (ratio - 1) * step) / 5);
  await touch('touchEnd', 0);
}

test('documents are on the phone before they are needed, are searched, and say what is wrong with them', async ({
  open,
  server,
}) => {
  const ines = await open('Ines Okafor');
  await documentsAreHere(ines);
  await kept(ines);
  await ines.context().setOffline(true);
  await ines.getByText('Gearbox output seal weeping oil').tap();
  await ines.getByRole('link', { name: /Gearbox manual/ }).tap();
  await expect(ines.getByTestId('pdf-page')).toHaveAttribute('data-drawn', '1');
  await expect(ines.getByText('1 of 10')).toBeVisible();
  await ines.getByLabel('Find in this document').fill('sleeve');
  await expect(ines.getByText('1 of 5 places, page 6')).toBeVisible();
  await expect(ines.getByTestId('pdf-match').first()).toBeVisible();
  const width = async (): Promise<number> => (await ines.getByTestId('pdf-page').boundingBox())?.width ?? 0;
  const fitted = await width();
  await pinch(ines, 2);
  await expect.poll(async () => (await width()) / fitted).toBeCloseTo(2, 1);
  await ines.getByRole('button', { name: 'Smaller' }).tap();
  await expect.poll(async () => (await width()) / fitted).toBeCloseTo(1.5, 1);
  await ines.getByLabel('Find in this document').fill('no such words');
  await expect(ines.getByText('Not in it')).toBeVisible();
  await ines.context().setOffline(false);

  // What is listed and is not what it says.
  const database = new Database(server.file);
  const broken = (id: string, given: object): void => {
    const { body } = database.prepare('SELECT body FROM documents WHERE asset = ?').get('lark-gearbox') as {
      body: string;
    };
    const row = { ...(JSON.parse(body) as object), id, ...given };
    database
      .prepare('INSERT INTO documents (id, revision, site, asset, file, body) VALUES (?, 1, ?, ?, ?, ?)')
      .run(id, 'site-lifts', 'lark-gearbox', (row as { fileId?: string }).fileId, JSON.stringify(row));
    database.prepare("INSERT INTO feed VALUES ('site:site-lifts', 1, 'documents', ?, 0)").run(id);
  };
  broken('missing', { name: 'Lost manual', fileId: 'a'.repeat(64) });
  broken('huge', { name: 'Huge manual', bytes: 200_000_000, fileId: 'b'.repeat(64) });
  const svg = database.prepare("SELECT file FROM documents WHERE id LIKE 'document-circuit%'").pluck().get() as string;
  broken('other', { name: 'Not a manual', fileId: svg, mediaType: 'application/pdf' });
  database.close();
  const tess = await open('Tess Lindqvist');
  const says = async (id: string, words: string | RegExp): Promise<void> => {
    await tess.goto(`/plant/document/${id}`);
    await expect(tess.getByText(words)).toBeVisible();
  };
  await says('missing', /Lost manual is listed, but its file is not on the server/);
  await says('huge', /Huge manual has 200 MB, which is too much to open on a phone/);
  await says('other', 'Listed as a PDF; it is a Drawing.');
  await says('nothing', /This document is not on this phone/);
});

test('whoever comes back to a view finds it where they left it, and opens it anew at its top', async ({ open }) => {
  const ines = await open('Ines Okafor');
  const main = ines.getByRole('main');
  const depth = (): Promise<number> => main.evaluate((view) => Math.round(view.scrollTop));
  const scrollTo = async (pixels: number): Promise<void> => {
    // The list grows by what comes into sight; then the thumb rests.
    await expect.poll(() => main.evaluate((view, top) => (view.scrollTop = top) - view.scrollTop, pixels)).toBe(0);
    await ines.waitForTimeout(300);
  };
  const press = (link: Locator): Promise<void> => link.evaluate((pressed: HTMLElement) => pressed.click());
  const back = (): Promise<void> => ines.getByRole('button', { name: /^Back to/ }).tap();

  await scrollTo(700);
  await press(ines.getByRole('link', { name: /Gearbox output seal weeping oil/ }));
  await expect(ines.getByRole('heading', { name: 'Gearbox output seal weeping oil' })).toBeVisible();
  expect(await depth()).toBe(0);
  await scrollTo(500);
  await press(ines.getByRole('link', { name: /Gearbox manual/ }));
  await expect(ines.getByLabel('Find in this document')).toBeVisible();
  await back();
  await expect.poll(depth).toBe(500);
  await back();
  await expect.poll(depth).toBe(700);
  await press(ines.getByRole('link', { name: /Gearbox output seal weeping oil/ }));
  await expect(ines.getByRole('heading', { name: 'Gearbox output seal weeping oil' })).toBeVisible();
  expect(await depth()).toBe(0);
});

test('a job card is made without signal and says what the job is', async ({ open }) => {
  const ines = await open('Ines Okafor');
  await documentsAreHere(ines);
  await kept(ines);
  await ines.context().setOffline(true);
  await ines.getByText('Gearbox output seal weeping oil').tap();
  await ines.getByRole('button', { name: 'More: this job' }).tap();
  await ines.getByRole('button', { name: 'Paper' }).tap();
  // A document of the machine goes behind it, in the same PDF.
  const manual = ines.getByRole('group', { name: 'Documents to go behind it' }).getByRole('checkbox').first();
  const name = (await manual.textContent()) ?? '';
  await manual.tap();
  const waiting = ines.waitForEvent('download');
  await ines.getByRole('button', { name: 'Job card with 1 document' }).tap();
  const text = execFileSync('pdftotext', ['-layout', await (await waiting).path(), '-']).toString();
  for (const piece of [
    'Gearbox output seal weeping oil',
    'LRK-G1',
    'Main switch Q1',
    'Hot work HW-114',
    'Shaft seal 70 × 90 × 10 mm',
    name,
  ])
    expect(text).toContain(piece);
  expect(text).not.toContain('It was not on the phone');
});

/** Tess gives a job to Ines. */
async function giveToInes(tess: Page, job: string): Promise<void> {
  await tess.getByText(job).first().click();
  await tess.getByRole('button', { name: 'More: this job' }).click();
  await tess.getByRole('button', { name: 'Give it to …' }).click();
  await tess.getByRole('checkbox', { name: 'Ines Okafor' }).click();
  await tess.getByRole('button', { name: 'Give it', exact: true }).click();
}

test('notices come live, are counted, lead to their job and are seen; mail goes to the outbox', async ({ open }) => {
  const ines = await open('Ines Okafor');
  const mark = ines.getByRole('link', { name: /^Notices/ });
  const unseen = async (): Promise<number> =>
    Number(/(\d+) new/.exec((await mark.getAttribute('aria-label')) ?? '')?.[1] ?? 0);
  const before = await unseen();
  await mark.tap();
  await ines.getByRole('button', { name: 'Choose what I hear of' }).tap();
  const byMail = ines.getByRole('group', { name: 'Work is given to me' }).getByRole('checkbox', { name: 'By mail' });
  await byMail.tap();
  await expect(byMail).toBeChecked();
  await ines.getByRole('button', { name: 'Done' }).tap();
  await expect(ines.getByTestId('sent-mark')).toHaveText('All sent');
  await ines.getByRole('button', { name: /^Back to/ }).tap();

  await giveToInes(await open('Tess Lindqvist', wide), 'Safety relay K14 drops out');
  await expect.poll(unseen).toBe(before + 1);
  await mark.tap();
  await ines.getByRole('link', { name: /Given to you.*Safety relay K14 drops out/ }).tap();
  await expect(ines.getByRole('heading', { name: 'Safety relay K14 drops out' })).toBeVisible();
  // What is shown is kept, so it is so after a reload too.
  const given = ines.getByRole('link', { name: /Given to you/ });
  await ines.getByRole('button', { name: /^Back to/ }).tap();
  await expect(given.first()).toBeVisible();
  await expect(given.getByText('New')).toHaveCount(0);
  await ines.reload();
  await expect(given.first()).toBeVisible();
  await expect(given.getByText('New')).toHaveCount(0);
  await ines.getByRole('button', { name: 'My mails' }).tap();
  await expect(ines.getByText(/^Given to you: W-\d+ Safety relay K14/)).toBeVisible();
});

const notified = 'a notice shows as a notification of the browser, and a press on it leads to its job';
test(notified, { tag: '@whole-browser' }, async ({ open }) => {
  const ines = await open('Ines Okafor', { ...phone, permissions: ['notifications'] });
  await ines.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await giveToInes(await open('Tess Lindqvist', wide), 'Safety relay K14 drops out');
  const shown = (): Promise<string[]> =>
    ines.evaluate(async () => {
      const registration = await navigator.serviceWorker.ready;
      return (await registration.getNotifications()).map(({ title, body }) => `${title}: ${body}`);
    });
  await expect.poll(shown).toEqual([expect.stringMatching(/^Given to you: W-\d+ Safety relay K14/)]);
  const [worker] = ines.context().serviceWorkers();
  // A press on it, as the browser tells its service worker.
  await worker?.evaluate(async () => {
    const { registration } = self as unknown as { registration: ServiceWorkerRegistration };
    const [notification] = await registration.getNotifications();
    const press = new Event('notificationclick');
    self.dispatchEvent(Object.assign(press, { notification, waitUntil: () => undefined }));
  });
  await expect(ines.getByRole('heading', { name: 'Safety relay K14 drops out' })).toBeVisible();
  expect(await shown()).toEqual([]);
});

test('a site is chosen in two taps and survives a reload', async ({ open }) => {
  const ines = await open('Ines Okafor');
  const thumb = new Thumb(ines);
  const rows = ines.getByRole('link', { name: /^W-\d+/ });
  const all = await rows.count();
  await thumb.tap(thumb.button('Site: All sites'));
  await thumb.tap(ines.getByRole('radio', { name: 'Snow plant' }));
  expect(thumb.taps).toBe(2);
  await expect(thumb.button('Site: Snow plant')).toBeVisible();
  await expect.poll(() => rows.count()).toBeLessThan(all);
  await ines.reload();
  await expect(thumb.button('Site: Snow plant')).toBeVisible();
});

test('a wide screen is driven by keys', async ({ open }) => {
  const tess = await open('Tess Lindqvist', wide);
  const opened = (): string => new URL(tess.url()).pathname;
  await expect.poll(opened).toMatch(/^\/shift\/.+/);
  const first = opened();
  const title = tess.getByTestId('sheet-scroll').getByRole('heading', { level: 1 });
  const firstTitle = await title.innerText();
  // A key that was pressed long before its code came is given up, as its person has given it up; they press it again.
  await expect(async () => {
    await tess.keyboard.press('j');
    expect(opened()).not.toBe(first);
  }).toPass();
  await expect(async () => {
    await tess.keyboard.press('k');
    expect(opened()).toBe(first);
  }).toPass();
  await expect(title).toHaveText(firstTitle);
  await tess.keyboard.press('n');
  await expect(tess.getByRole('dialog', { name: /Note/ })).toBeVisible();
  await tess.keyboard.press('Escape');
  await tess.keyboard.press('/');
  await expect(tess.getByRole('searchbox', { name: 'Find anything' })).toBeFocused();
  await tess.keyboard.type('jjj');
  await expect.poll(opened).toBe(first);
  // What was found first opens, and the keys are the list's again.
  await tess.getByRole('searchbox', { name: 'Find anything' }).fill('safety relay');
  await expect(tess.getByRole('link', { name: /Safety relay K14/ }).first()).toBeVisible();
  await tess.keyboard.press('Enter');
  await expect(tess.getByRole('heading', { name: 'Safety relay K14 drops out' })).toBeVisible();
  await tess.keyboard.press('Enter');
  const sheet = tess.getByTestId('sheet-scroll');
  await expect(sheet).toBeFocused();
  await tess.keyboard.press('PageDown');
  await expect.poll(() => sheet.evaluate((node) => node.scrollTop)).toBeGreaterThan(100);
  await tess.keyboard.press('?');
  await expect(tess.getByText('Start or stop my clock')).toBeVisible();
});

import type { BrowserContextOptions, Page } from '@playwright/test';
import { expect, phone, test, wide } from './works';

// npm run pictures: makes every picture of docs/screenshots/ anew, from the demo data. Not part of npm test.

const ines = 'Ines Okafor';
const tess = 'Tess Lindqvist';
const GEARBOX = 'Gearbox output seal weeping oil';
const night: BrowserContextOptions = { ...phone, colorScheme: 'dark' };

const press = (page: Page, name: string | RegExp): Promise<void> =>
  page
    .getByRole('button', { name, exact: typeof name === 'string' })
    .first()
    .click();

/** When nothing moves or comes any more. */
async function settled(page: Page): Promise<void> {
  await page.waitForLoadState('networkidle');
  await page.waitForTimeout(700);
}

async function keep(page: Page, name: string): Promise<void> {
  await settled(page);
  // What the last press was on is not shaded as what is pointed at.
  await page.mouse.move(0, 0);
  await page.screenshot({ path: `docs/screenshots/${name}.png` });
}

/** Opens a job from Shift, with its hazards read. */
async function openJob(page: Page, title: string): Promise<void> {
  await page.getByText(title).first().click();
  await press(page, /^I have read/);
  await expect(page.getByRole('button', { name: /^I have read/ })).toHaveCount(0);
}

/** Ines at the gearbox: the clock runs, a step is ticked and a finding said. */
async function atWork(page: Page): Promise<void> {
  await openJob(page, GEARBOX);
  await press(page, 'Start my clock');
  const main = page.getByRole('main');
  await main.getByRole('checkbox').first().click();
  await main.getByRole('radio', { name: 'Good' }).first().click();
  await main.getByText('2 of 8 steps').scrollIntoViewIfNeeded();
  await page.getByRole('button', { name: 'Go to Work' }).click();
}

test('Shift', async ({ open }) => keep(await open(ines), 'shift-phone'));

test('Prepare', async ({ open }) => {
  const page = await open(ines);
  await page.getByText('Service brake lining below 5 mm').first().click();
  await keep(page, 'sheet-prepare-phone');
});

for (const [name, options] of [
  ['sheet-work-phone', phone],
  ['sheet-night-phone', night],
] as const)
  test(name, async ({ open }) => {
    const page = await open(ines, options);
    await atWork(page);
    await keep(page, name);
  });

test('Wrap up', async ({ open }) => {
  const page = await open(ines);
  await atWork(page);
  await press(page, 'Go to Wrap up');
  await keep(page, 'sheet-wrap-up-phone');
});

test('a line of shorthand', async ({ open }) => {
  const page = await open(ines);
  await atWork(page);
  // Whoever scrolls up a little has all of the dock.
  for (const up of [20, 20]) {
    await page.getByTestId('sheet-scroll').evaluate((node, by) => node.scrollBy(0, -by), up);
    await settled(page);
  }
  await press(page, 'Write in one line');
  await page.getByLabel('What was done').fill('1.5h 2x seal-70 fault leak note grease was black');
  await keep(page, 'shorthand-phone');
});

test('a reading', async ({ open }) => {
  const page = await open(ines);
  await openJob(page, GEARBOX);
  await press(page, 'Reading');
  await page.getByRole('radio', { name: 'Oil temperature, sump' }).click();
  for (const digit of ['7', '6']) await press(page, digit);
  await keep(page, 'reading-phone');
});

test('a round', async ({ open }) => {
  const page = await open(ines);
  await openJob(page, 'Daily round, Lark');
  await press(page, 'All stops');
  await press(page, /Lark drive gearbox/);
  await keep(page, 'round-phone');
});

test('what is not sent', async ({ open }) => {
  const page = await open(ines);
  await openJob(page, 'Service brake lining below 5 mm');
  await page.evaluate('navigator.serviceWorker.ready');
  await page.context().setOffline(true);
  const boxes = page.getByRole('main').getByRole('checkbox');
  await boxes.nth(0).click();
  await boxes.nth(1).click();
  await page.getByTestId('sent-mark').click();
  await keep(page, 'not-sent-phone');
});

test('a machine, its past, its manual', async ({ open, server }) => {
  const page = await open(ines);
  await page.goto(`${server.address}/plant/lark-gearbox`);
  await keep(page, 'machine-phone');
  await page.goto(`${server.address}/plant/past/lark-gearbox`);
  await expect(page.getByText('Pictures', { exact: true })).toBeVisible();
  await keep(page, 'past-phone');
  await page.goto(`${server.address}/plant/lark-gearbox`);
  await page
    .getByText(/^Gearbox manual/)
    .first()
    .click();
  await page.getByLabel('Find in this document').fill('seal');
  await expect(page.getByText(/^1 of \d+ places/)).toBeVisible();
  await keep(page, 'document-phone');
});

test('the kit list', async ({ open }) => {
  const page = await open(ines);
  await press(page, 'Kit list');
  await press(page, /^All of today/);
  const boxes = page.getByRole('main').getByRole('checkbox');
  await boxes.nth(0).click();
  await boxes.nth(2).click();
  await keep(page, 'kit-list-phone');
});

test('my day', async ({ open }) => {
  const page = await open(ines);
  await press(page, 'My day');
  await keep(page, 'my-day-phone');
});

test('Raise', async ({ open, server }) => {
  const page = await open(ines);
  await page.goto(`${server.address}/raise?asset=lark-gearbox`);
  await page.getByLabel('What is it').fill('Oil under the gearbox');
  await keep(page, 'raise-phone');
});

test('the page of a label', async ({ open, server }) => {
  const page = await open(null);
  await page.goto(`${server.address}/r/${server.reportLabel()}`);
  await keep(page, 'report-page-phone');
});

test('the sheet, Desk and Stores on a wide screen', async ({ open, server }) => {
  const page = await open(tess, wide);
  await page.getByText(GEARBOX).first().click();
  await keep(page, 'sheet-wide');
  await page.goto(`${server.address}/desk`);
  await keep(page, 'desk-wide');
  await page.goto(`${server.address}/stores/asked`);
  await keep(page, 'asked-wide');
});

/** Cuts one of the ranks of docs/INTERFACE.md out of a view. */
async function cut(page: Page, of: ReturnType<Page['getByRole']>, name: string): Promise<void> {
  await settled(page);
  await of.first().screenshot({ path: `docs/ranks/${name}.png` });
}

test('the ranks', async ({ open, server }) => {
  const page = await open(tess, phone);
  await page.goto(`${server.address}/shift`);
  await cut(page, page.getByRole('group', { name: 'Narrow the list' }), 'filter');
  await cut(page, page.getByRole('button', { name: 'Kit list' }), 'quiet');
  await cut(page, page.getByRole('button', { name: 'Scan', exact: true }), 'secondary');
  await page.getByText(GEARBOX).first().click();
  await cut(page, page.getByRole('button', { name: /^I have read/ }), 'primary');
  await cut(page, page.getByRole('button', { name: /^Change dates/ }), 'fact');
  await cut(page, page.getByRole('link', { name: 'Look at the machine' }), 'way');
  await cut(page, page.getByRole('button', { name: 'More: this job' }), 'more');
  await press(page, /^I have read/);
  await press(page, 'Go to Wrap up');
  await cut(page, page.getByRole('button', { name: 'Drop this work' }), 'final');
  await page.goto(`${server.address}/raise?asset=lark-gearbox`);
  await cut(page, page.getByRole('radiogroup', { name: 'What becomes of it' }), 'choice');
});

import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, test, wide } from './works';

// Everything here has signal: no service worker needs to fetch the whole application for it.
test.use({ serviceWorkers: 'block' });

const told = ({ violations }: Awaited<ReturnType<AxeBuilder['analyze']>>): string[] =>
  violations.map(({ id, nodes }) => `${id}: ${nodes.map((node) => node.html).join('\n')}`);

/** What the theme paints words with. */
const ink = (page: Page): Promise<string> =>
  page.evaluate<string>("getComputedStyle(document.querySelector('h1, h2, [role=heading]')).color");

/**
 * There are no frames here, so axe need not open a page of its own to put their results together: a third of its time. What it
 * found in order is not worked out further: a tenth.
 */
const axeOn = (page: Page): AxeBuilder =>
  new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ['violations'] });

/** Every rule by day, and then what night can change: the contrast of the same view under the other theme. */
const problemsOf = async (page: Page): Promise<string[]> => {
  const byDay = await axeOn(page).withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']).analyze();
  const day = await ink(page);
  await page.emulateMedia({ colorScheme: 'dark' });
  await expect.poll(() => ink(page)).not.toBe(day);
  await page.waitForFunction('document.getAnimations().length === 0');
  const byNight = await axeOn(page).withRules(['color-contrast']).analyze();
  await page.emulateMedia({ colorScheme: 'light' });
  await expect.poll(() => ink(page)).toBe(day);
  await page.waitForFunction('document.getAnimations().length === 0');
  return [...told(byDay), ...told(byNight).map((problem) => `at night, ${problem}`)];
};

test('axe finds nothing on any view', async ({ open }) => {
  test.slow();
  const tess = await open('Tess Lindqvist');
  for (const place of ['/plant', '/stores', '/desk', '/shift']) {
    await tess.goto(place);
    await expect(tess.getByTestId('sent-mark').first()).toBeVisible();
    expect(await problemsOf(tess)).toEqual([]);
  }
  await tess.getByRole('link', { name: /Gearbox output seal weeping oil/ }).click();
  await expect(tess.getByRole('heading', { name: 'Prepare' })).toBeVisible();
  expect(await problemsOf(tess)).toEqual([]);
  await tess.getByRole('button', { name: /I have read/ }).click();
  await expect(tess.getByText('hazards read', { exact: true })).toBeVisible();
  await tess.getByRole('button', { name: 'More: costs, mail' }).click();
  for (const sheet of ['Time', 'Tool', 'Part', 'Reading', 'Fault', 'Stoppage', 'Note', 'Write in one line']) {
    await tess.getByRole('button', { name: sheet, exact: true }).click();
    await expect(tess.getByRole('dialog')).toBeVisible();
    expect(await problemsOf(tess)).toEqual([]);
    await tess.keyboard.press('Escape');
  }
  const stranger = await open(null);
  await expect(stranger.getByText('This server shows a demo')).toBeVisible();
  expect(await problemsOf(stranger)).toEqual([]);
});

test('axe finds nothing on any view of preparing', async ({ open }) => {
  test.slow();
  const ines = await open('Ines Okafor');
  const views: readonly (readonly [path: string, seen: string | RegExp])[] = [
    ['/plant/lark-gearbox', 'Parts with a serial number'],
    ['/plant?place=top-drive', 'What happened here'],
    ['/plant/past/lark-gearbox', 'The rows'],
    ['/plant/past/lark-gearbox?said=failures', 'The rows: Failures'],
    ['/plant/past/at/top', 'The rows'],
    ['/plant/past/lark-gearbox?point=lark-gearbox-level', 'Oil level, mm'],
    ['/plant/document/document-manual-lark-gearbox', '1 of 10'],
    ['/plant/document/document-circuit-lark-tension', 'Larger'],
    ['/scan?code=NEW-LABEL-0815', 'NEW-LABEL-0815 is not known'],
    ['/scan', 'Or type the code'],
    ['/scan/try', 'A label that nobody has bound yet'],
    ['/notices', /what I hear of/i],
    ['/shift/kit', 'No jobs are chosen'],
    ['/shift/day', 'Coming days'],
    ['/raise?asset=lark-gearbox', 'Hazards here'],
    ['/raise?way=done&words=pump%202%3A%20packing%20replaced%2C%202%20h', 'What it becomes'],
    ['/raise?way=incident&asset=lark-gearbox', 'What led to it'],
    ['/raise?way=plan&asset=lark-gearbox&words=Guard%20is%20loose', 'By a procedure'],
    ['/reports', 'To answer'],
    ['/reports/report-4', 'What became of it'],
    ['/reports/incident/incident-1', 'What was added'],
  ];
  for (const [path, seen] of views) {
    await ines.goto(path);
    await expect(ines.getByText(seen).first()).toBeVisible();
    expect({ path, problems: await problemsOf(ines) }).toEqual({ path, problems: [] });
  }
});

test('axe finds nothing on the pages for people without an account', async ({ open, server }) => {
  const reporter = await open(null);
  await reporter.goto(`/r/${server.reportLabel()}`);
  await expect(reporter.getByLabel('What is wrong?')).toBeVisible();
  expect(await problemsOf(reporter)).toEqual([]);
  await reporter.getByLabel('What is wrong?').fill('It squeaks');
  await reporter.getByRole('button', { name: 'Send the report' }).click();
  await expect(reporter.getByText('Received. Somebody will look at it.')).toBeVisible();
  expect(await problemsOf(reporter)).toEqual([]);
  await reporter.goto('/r/00000000000000000000');
  await expect(reporter.getByRole('alert')).toBeVisible();
  expect(await problemsOf(reporter)).toEqual([]);
});

test('axe finds nothing on what opens over the views of preparing', async ({ open }) => {
  const ines = await open('Ines Okafor');
  await ines.goto('/shift/kit');
  await ines.getByRole('button', { name: /^All of today’s/ }).click();
  await expect(ines.getByRole('heading', { name: 'Tools', exact: true })).toBeVisible();
  expect(await problemsOf(ines)).toEqual([]);
  await ines.getByRole('button', { name: 'Choose jobs' }).click();
  expect(await problemsOf(ines)).toEqual([]);
  await ines.keyboard.press('Escape');
  await ines.goto('/notices');
  await ines.getByRole('button', { name: 'Choose what I hear of' }).click();
  await expect(ines.getByRole('dialog')).toBeVisible();
  expect(await problemsOf(ines)).toEqual([]);
  await ines.goto('/plant/lark-gearbox');
  await ines.getByRole('button', { name: 'More: this machine' }).click();
  await ines.getByRole('button', { name: 'Print its label' }).click();
  await expect(ines.getByRole('dialog')).toBeVisible();
  expect(await problemsOf(ines)).toEqual([]);
});

test('axe finds nothing on a hazard, what was refused and how it is mended', async ({ open }) => {
  const tess = await open('Tess Lindqvist');
  await tess.getByRole('link', { name: /Gearbox output seal weeping oil/ }).click();
  await tess.getByRole('button', { name: /I have read/ }).click();
  await expect(tess.getByText('hazards read', { exact: true })).toBeVisible();
  await tess.getByRole('button', { name: 'More: this job' }).click();
  await tess.getByRole('button', { name: 'Add a hazard' }).click();
  await expect(tess.getByRole('dialog')).toBeVisible();
  expect(await problemsOf(tess)).toEqual([]);
  await tess.keyboard.press('Escape');

  const refusal = { code: 'not_enough_stock', values: { onHand: 1, unit: 'pcs', bin: 'A-01' }, field: 'quantity' };
  await tess.route('**/api/operations', async (route) => {
    const { operations } = route.request().postDataJSON() as { operations: { id: string }[] };
    const outcomes = operations.map(({ id }) => ({ id, outcome: { ok: false, ...refusal } }));
    await route.fulfill({ json: { outcomes, revision: 1, now: new Date().toISOString() } });
  });
  await tess.getByRole('button', { name: 'Part', exact: true }).click();
  await tess.getByRole('button', { name: /^Use / }).first().click();
  // One with a number sits there, so what comes out is asked.
  await tess.getByRole('radio', { name: 'Nothing' }).click();
  await tess.getByRole('button', { name: /^Use / }).click();
  await tess.getByRole('button', { name: 'That is all' }).click();
  const mark = tess.getByTestId('sent-mark').first();
  await expect(mark).toHaveText('1 needs you');
  await tess.unroute('**/api/operations');
  await mark.click();
  await expect(tess.getByRole('button', { name: 'Mend and send' })).toBeVisible();
  expect(await problemsOf(tess)).toEqual([]);
  await tess.getByRole('button', { name: 'Mend and send' }).click();
  await expect(tess.getByLabel('Amount')).toBeVisible();
  expect(await problemsOf(tess)).toEqual([]);
});

// Every view is asked on a phone; here are those that stand beside others, or look otherwise, where there is room.
test('axe finds nothing on the views that stand side by side on a wide screen', async ({ open }) => {
  test.slow();
  const tess = await open('Tess Lindqvist', wide);
  const views: readonly (readonly [path: string, seen: string | RegExp])[] = [
    ['/desk', /^Let it start/],
    ['/stores', 'Find a part or a bin'],
    ['/plant/lark-gearbox', 'Parts with a serial number'],
    ['/notices', /what I hear of/i],
    ['/raise?way=plan&asset=lark-gearbox&words=Guard%20is%20loose', 'By a procedure'],
    ['/reports/report-4', 'What became of it'],
    ['/shift/table', 'Gearbox output seal weeping oil'],
  ];
  for (const [path, seen] of views) {
    await tess.goto(path);
    await expect(tess.getByText(seen).first()).toBeVisible();
    expect({ path, problems: await problemsOf(tess) }).toEqual({ path, problems: [] });
  }
  await tess.goto('/shift');
  await tess.getByRole('link', { name: /Gearbox output seal weeping oil/ }).click();
  await expect(tess.getByRole('heading', { name: 'Prepare' })).toBeVisible();
  expect(await problemsOf(tess)).toEqual([]);
});

test('nothing is cut off sideways, down to 200 % text on a phone', async ({ open }) => {
  const page = await open('Ines Okafor', { viewport: { width: 195, height: 422 }, hasTouch: true });
  const overflow = (): Promise<number> =>
    page.evaluate<number>('document.documentElement.scrollWidth - window.innerWidth');
  expect(await overflow()).toBe(0);
  await page.getByText('Gearbox output seal weeping oil').tap();
  const buttons = page.getByRole('toolbar').getByRole('button');
  await expect(buttons.first()).toBeVisible();
  for (const box of await Promise.all((await buttons.all()).map((button) => button.boundingBox()))) {
    expect((box?.x ?? 0) + (box?.width ?? 0)).toBeLessThanOrEqual(195);
  }
});

/** Words and signs that reach beyond the edge of the screen, words of which not three letters fit a line, or that lie on others. */
const cramped = (page: Page): Promise<string[]> =>
  page.evaluate<string[]>(`(() => {
    const within = (what) => [...document.querySelectorAll('[role=main] ' + what + ', [role=dialog] ' + what + ', [role=banner] ' + what + ', [role=navigation] ' + what)];
    const isSeen = (node) => node.getBoundingClientRect().width > 0 && node.closest('canvas, [aria-hidden=true], [role=img]') === null;
    const isCut = (node) => {
      const { left, right } = node.getBoundingClientRect();
      return right > innerWidth + 1 || left < -1;
    };
    const leaves = within('*').filter(
      (node) => isSeen(node) && node.closest('svg') === null &&
        [...node.childNodes].some(({ nodeType, data }) => nodeType === 3 && data.trim() !== ''),
    );
    const isSqueezed = (node) => {
      const text = node.textContent.trim();
      return text.length > 6 && node.getBoundingClientRect().height / parseFloat(getComputedStyle(node).lineHeight) > text.length / 3;
    };
    const rectOf = (node) => {
      const range = document.createRange();
      range.selectNodeContents(node);
      return range.getBoundingClientRect();
    };
    const inBar = leaves.filter((node) => node.closest('[role=banner]') !== null).map((node) => ({ node, box: rectOf(node) }));
    const isOver = (one, other) =>
      !one.node.contains(other.node) && !other.node.contains(one.node) &&
      one.box.left < other.box.right - 1 && other.box.left < one.box.right - 1 &&
      one.box.top < other.box.bottom - 1 && other.box.top < one.box.bottom - 1;
    return [
      ...leaves.filter(isCut).map((node) => 'cut: ' + node.textContent.trim()),
      ...leaves.filter(isSqueezed).map((node) => 'squeezed: ' + node.textContent.trim()),
      ...within('svg').filter((node) => node.closest('[role=img]') === null && isCut(node)).map((node) => 'cut sign: ' + node.parentElement.textContent.trim()),
      ...inBar.filter((one) => inBar.some((other) => isOver(one, other))).map(({ node }) => 'over others: ' + node.textContent.trim()),
    ];
  })()`);

/** Once what moves has come to rest: the name of a field goes to its edge when the field is entered. */
const expectRoom = (page: Page, view: string): Promise<void> =>
  expect.poll(async () => [view, ...(await cramped(page))]).toEqual([view]);

test('no words are cut off or squeezed at 200 % text, on any view', async ({ open }) => {
  const page = await open('Ines Okafor', { viewport: { width: 195, height: 422 }, hasTouch: true });
  const views = [
    ['/shift', 'Find anything'],
    ['/plant', 'Find a machine'],
    ['/plant/lark-gearbox', 'Nameplate'],
    ['/plant?place=top-drive', 'What happened here'],
    ['/plant/past/lark-gearbox', 'The rows'],
    ['/plant/past/lark-gearbox?said=failures', 'The rows: Failures'],
    ['/stores', 'Find a part or a bin'],
    ['/scan', 'Or type the code'],
    ['/notices', 'Choose what I hear of'],
    ['/shift/kit', 'Choose jobs'],
    ['/shift/day', 'Coming days'],
    ['/raise?asset=lark-gearbox', 'Already known'],
    ['/raise?way=done&words=pump%202%3A%20packing%20replaced%2C%202%20h', 'What it becomes'],
    ['/raise?way=incident&asset=lark-gearbox', 'What led to it (not needed)'],
    ['/raise?way=plan&asset=lark-gearbox&words=Guard%20is%20loose', 'By a procedure'],
    ['/reports', 'To answer'],
    ['/reports/report-4', 'What became of it'],
    ['/reports/incident/incident-1', 'What was added'],
  ] as const;
  for (const [path, words] of views) {
    await page.goto(path);
    await expect(page.getByText(words, { exact: true }).first()).toBeVisible();
    await expectRoom(page, path);
  }
  const lead = await open('Tess Lindqvist', { viewport: { width: 195, height: 422 }, hasTouch: true });
  await lead.goto('/desk');
  await expect(lead.getByRole('button', { name: /^Let it start/ })).toBeVisible();
  await expectRoom(lead, '/desk');
  for (const name of ['What must be recorded', 'Reports, due and go-ahead']) {
    await lead.getByRole('button', { name: 'Set up' }).tap();
    await lead.getByRole('button', { name }).tap();
    await expect(lead.getByRole('button', { name: 'Keep', exact: true })).toBeVisible();
    await expectRoom(lead, name);
    await lead.getByRole('button', { name: 'Close', exact: true }).tap();
  }
  await page.goto('/shift');
  await page.getByText('Gearbox output seal weeping oil').tap();
  await page.getByRole('button', { name: /^I have read/ }).tap();
  await expect(page.getByText('hazards read', { exact: true })).toBeVisible();
  await expectRoom(page, 'the sheet');
  for (const name of ['Time', 'Part', 'Reading', 'Fault', 'Stoppage', 'Note']) {
    await page.getByRole('button', { name, exact: true }).tap();
    await expect(page.getByRole('dialog')).toBeVisible();
    await expectRoom(page, name);
    await page.getByRole('button', { name: 'Close', exact: true }).tap();
  }
});

test('everything pressed on the sheet is large enough for a glove', async ({ open }) => {
  const page = await open('Ines Okafor');
  await page.getByText('Gearbox output seal weeping oil').tap();
  await expect(page.getByRole('button', { name: 'Add a hazard' })).toBeVisible();
  for (const role of ['button', 'checkbox', 'radio'] as const) {
    for (const target of await page.getByRole(role).all()) {
      const box = await target.boundingBox();
      if (box === null || (await target.getAttribute('aria-label'))?.startsWith('Go to') === true) continue;
      expect(Math.min(box.width, box.height)).toBeGreaterThanOrEqual(47.5);
    }
  }
});

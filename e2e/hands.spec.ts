import { expect, test, wide } from './works';

const job = 'Service brake lining below 5 mm';

test('what a hand does twice counts once, and a tap beside a sheet reaches nothing behind it', async ({ open }) => {
  const ines = await open('Ines Okafor');
  await ines.getByText(job).tap();
  const read = ines.getByRole('button', { name: 'I have read the 2 hazards' });
  const at = await read.boundingBox();
  if (at === null) throw new Error('The hazards are not there.');
  const [x, y] = [at.x + at.width / 2, at.y + at.height / 2];
  await ines.mouse.click(x, y);
  await ines.mouse.click(x, y);
  await expect(ines.getByText('hazards read', { exact: true })).toHaveCount(1);
  // Another key may lie there by now, which opens something at most.
  await ines.keyboard.press('Escape');
  await expect(ines.getByRole('dialog')).toHaveCount(0);

  const step = ines.getByRole('checkbox', { name: 'Rope on the stop' });
  await step.dblclick({ delay: 20 });
  await expect(step).toBeChecked();
  await ines.waitForTimeout(400);
  await step.click();
  await expect(step).not.toBeChecked();

  await ines.getByRole('button', { name: 'Part', exact: true }).tap();
  await ines.getByRole('button', { name: 'Use 4 pcs Brake lining SB40' }).dblclick();
  await ines.getByRole('button', { name: 'That is all' }).tap();
  await expect(ines.getByRole('button', { name: /4 pcs Brake lining SB40 LINING/ })).toHaveCount(1);

  // The sheet stands below, and beside it lies the list of steps.
  await step.scrollIntoViewIfNeeded();
  await ines.getByRole('button', { name: 'Note', exact: true }).tap();
  await expect(ines.getByRole('dialog')).toBeVisible();
  for (const [left, top] of [
    [60, 90],
    [195, 130],
    [330, 180],
  ] as const) {
    if ((await ines.getByRole('dialog').count()) === 0)
      await ines.getByRole('button', { name: 'Note', exact: true }).tap();
    const before = await ines.getByRole('checkbox', { checked: true }).count();
    await ines.touchscreen.tap(left, top);
    await expect(ines.getByRole('dialog')).toHaveCount(0);
    expect(await ines.getByRole('checkbox', { checked: true }).count()).toBe(before);
  }
  await expect(ines.getByTestId('sent-mark')).toHaveText('All sent');
});

test('a link is followed by keys, opens in a window of its own, and a label opens the machine', async ({ open }) => {
  const ines = await open('Ines Okafor', wide);
  const link = ines.getByRole('link', { name: new RegExp(job) }).first();
  expect(await link.evaluate((element) => element.tagName)).toBe('A');
  await link.focus();
  await ines.keyboard.press('Enter');
  await expect(ines).toHaveURL(/\/shift\/.+/);
  const opening = ines.context().waitForEvent('page');
  await link.click({ modifiers: ['ControlOrMeta'] });
  const other = await opening;
  await expect(other.getByRole('heading', { name: job })).toBeVisible();
  await other.close();
});

test('a portal, a lost local storage and a sign-out without signal lose nothing and leave nothing behind', async ({
  open,
  server,
}) => {
  const ines = await open('Ines Okafor');
  await ines.evaluate('navigator.serviceWorker.ready');
  await ines.reload();
  await expect(ines.getByTestId('sent-mark')).toHaveText('All sent');
  await ines.context().setOffline(true);
  await ines.evaluate('localStorage.clear()');
  await ines.reload();
  await ines.goto('/raise?asset=pocket-brake');
  await ines.getByLabel('What is it').fill('Squeals when it is cold');
  await ines.getByRole('radio', { name: 'Report it' }).tap();
  await ines.getByRole('button', { name: 'Report it' }).tap();
  await expect(ines.getByTestId('sent-mark')).toHaveText('1 on this phone');

  // Signal is back, and a portal answers in the place of the server.
  let asked = 0;
  await ines.context().route('**/api/**', (route) => {
    asked += 1;
    return route.fulfill({ status: 200, contentType: 'application/json', body: '{"status":"login"}' });
  });
  await ines.context().setOffline(false);
  await expect.poll(() => asked, { timeout: 20_000 }).toBeGreaterThan(1);
  await expect(ines.getByTestId('sent-mark')).toHaveText('1 on this phone');
  await ines.context().unroute('**/api/**');
  await expect(ines.getByTestId('sent-mark')).toHaveText('All sent', { timeout: 40_000 });

  await ines.goto('/shift');
  await ines.getByText(job).tap();
  await ines.getByRole('button', { name: 'Note', exact: true }).tap();
  await ines.getByLabel('For the next person').fill('Half a sentence of Ines');
  await ines.getByRole('button', { name: 'Close' }).tap();
  await ines.context().setOffline(true);
  const session = await ines.context().cookies();
  await ines.getByRole('button', { name: 'Back to Shift' }).tap();
  await ines.getByRole('button', { name: 'Me', exact: true }).tap();
  await ines.getByRole('button', { name: 'Sign out' }).tap();
  await expect(ines.getByText('Ines Okafor is signed out on this phone.')).toBeVisible();
  const standing = async (): Promise<number> => {
    const cookie = session.map(({ name, value }) => `${name}=${value}`).join('; ');
    return (await fetch(`${server.address}/api/session`, { headers: { cookie } })).status;
  };
  expect(await standing()).toBe(200);
  await ines.context().setOffline(false);
  await expect.poll(standing, { timeout: 20_000 }).toBe(401);
  await expect(ines.getByText('is signed out on this phone.')).toHaveCount(0);
  expect(await ines.evaluate('JSON.stringify({ ...localStorage })')).not.toContain('Half a sentence');
});

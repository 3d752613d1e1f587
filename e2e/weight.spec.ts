import { readFileSync, statSync } from 'node:fs';
import { CountingLine } from './counting-line';
import { expect, phone, test } from './works';

const KILOBYTE = 1_000;

// Counted to the byte, with the headers of a browser as people have it.
test('what goes over the air is light', { tag: '@whole-browser' }, async ({ open, server }, testInfo) => {
  const line = new CountingLine(server.address);
  const ines = await open(null, { ...phone, baseURL: await line.start() });
  // The application itself is on the phone by then.
  await ines.evaluate('navigator.serviceWorker.ready');
  await ines.reload();
  await expect(ines.getByRole('button', { name: 'Ines Okafor' })).toBeVisible();
  await ines.waitForTimeout(1_000);
  line.reset();
  await ines.getByRole('button', { name: 'Ines Okafor' }).tap();
  await expect(ines.getByTestId('sent-mark')).toHaveText('All sent');
  const first = line.down;

  await ines.getByText('Service brake lining below 5 mm').tap();
  await ines.getByRole('button', { name: 'I have read the 2 hazards' }).tap();
  await expect(ines.getByText('hazards read', { exact: true })).toBeVisible();
  await expect(ines.getByTestId('sent-mark')).toHaveText('All sent');
  await ines.context().setOffline(true);
  const box = ines.getByRole('checkbox', { name: 'Rope on the stop' });
  for (let times = 1; times <= 60; times += 1) {
    await box.tap();
    // As if time had passed: the same key again at once would be the second half of a double press.
    await ines.evaluate("window.dispatchEvent(new Event('input'))");
    await expect(box).toBeChecked({ checked: times % 2 === 1 });
  }
  await expect(ines.getByTestId('sent-mark')).toHaveText('60 on this phone');
  line.reset();
  await ines.context().setOffline(false);
  await expect(ines.getByTestId('sent-mark')).toHaveText('All sent');
  const shift = line.up;

  // The line for news comes back by itself, and brings one more question with it.
  await ines.waitForTimeout(5_000);
  line.reset();
  await ines.evaluate(() => window.dispatchEvent(new Event('online')));
  await ines.waitForTimeout(1_000);
  const idle = line.up + line.down;

  testInfo.annotations.push({ type: 'bytes', description: `first ${first}, shift ${shift}, idle ${idle}` });
  process.stdout.write(`first synchronization ${first} B down, 60 operations ${shift} B up, idle check ${idle} B\n`);
  expect(first).toBeLessThan(500 * KILOBYTE);
  expect(shift).toBeLessThan(30 * KILOBYTE);
  expect(idle).toBeLessThanOrEqual(KILOBYTE);
});

test('the first screen takes at most 400 kB of script, packed', () => {
  const page = readFileSync('app/dist/index.html', 'utf8');
  const scripts = [...page.matchAll(/<script src="([^"]+)"/g)].map(([, address = '']) => `app/dist${address}.gz`);
  expect(scripts.length).toBeGreaterThan(0);
  expect(scripts.reduce((sum, file) => sum + statSync(file).size, 0)).toBeLessThan(400_000);
});

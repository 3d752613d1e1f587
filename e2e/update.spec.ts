import { appendFileSync, cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { DemoServer } from './demo-server';
import { expect, phone, test } from './works';

test('an update waits for its person, never shows over a job, and keeps what is not sent', async ({ browser }) => {
  const folder = mkdtempSync(join(tmpdir(), 'oilcan-web-'));
  cpSync('app/dist', folder, { recursive: true });
  const server = new DemoServer({ webRoot: folder });
  await server.start();
  const context = await browser.newContext({ ...phone, baseURL: server.address });
  const ines = await context.newPage();
  await ines.goto('/');
  await ines.getByRole('button', { name: 'Ines Okafor' }).tap();
  await expect(ines.getByTestId('sent-mark')).toHaveText('All sent');
  await ines.evaluate('navigator.serviceWorker.ready');
  await ines.reload();
  await expect(ines.getByTestId('sent-mark')).toHaveText('All sent');
  await ines.getByText('Service brake lining below 5 mm').tap();
  await ines.route('**/api/operations', (route) => route.abort());
  await ines.getByRole('button', { name: 'I have read the 2 hazards' }).tap();
  await expect(ines.getByTestId('sent-mark')).toHaveText('1 on this phone');

  // A newer application: its service worker differs by a byte. It is sent as it is, not as packed before.
  for (const packed of ['.br', '.gz']) rmSync(join(folder, `service-worker.js${packed}`), { force: true });
  appendFileSync(join(folder, 'service-worker.js'), '\n// newer\n');
  await server.stop();
  await server.start();
  await ines.evaluate(async () => (await navigator.serviceWorker.ready).update());
  const waiting = ines.getByText('A newer Oilcan is on this phone.');
  await expect.poll(() => ines.evaluate(async () => (await navigator.serviceWorker.ready).waiting !== null)).toBe(true);
  await expect(waiting).toHaveCount(0);
  await ines.getByRole('button', { name: 'Back to Shift' }).tap();
  await expect(waiting).toBeVisible();
  const loaded = ines.waitForEvent('load');
  await ines.getByRole('button', { name: 'Take it' }).tap();
  await loaded;
  await expect(ines.getByTestId('sent-mark')).toHaveText('1 on this phone');
  await expect(waiting).toHaveCount(0);
  await ines.unroute('**/api/operations');
  await ines.evaluate(() => window.dispatchEvent(new Event('online')));
  await expect(ines.getByTestId('sent-mark')).toHaveText('All sent');
  await context.close();
  await server.dispose();
  rmSync(folder, { recursive: true, force: true });
});

test('a server that moved on asks for an update and leaves everything on the phone', async ({ open }) => {
  const ines = await open('Ines Okafor');
  await ines.getByText('Service brake lining below 5 mm').tap();
  const older = { code: 'protocol_older', values: {}, field: null };
  await ines.route('**/api/operations', (route) => route.fulfill({ status: 426, json: older }));
  await ines.getByRole('button', { name: 'I have read the 2 hazards' }).tap();
  await expect(ines.getByTestId('sent-mark')).toHaveText('Update to send');
  await ines.getByTestId('sent-mark').tap();
  await expect(ines.getByText('This Oilcan is older than the server.')).toBeVisible();
  await expect(ines.getByRole('dialog').getByText('Hazards read')).toBeVisible();
  await ines.unroute('**/api/operations');
  const loaded = ines.waitForEvent('load');
  await ines.getByRole('button', { name: 'Update now' }).tap();
  await loaded;
  await expect(ines.getByTestId('sent-mark')).toHaveText('All sent');
});

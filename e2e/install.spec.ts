import { expect, test } from './works';

interface Named {
  readonly src: string;
  readonly sizes: string;
  readonly type: string;
  readonly purpose?: string;
}

interface Manifest {
  readonly name: string;
  readonly display: string;
  readonly start_url: string;
  readonly icons: readonly Named[];
  readonly shortcuts: readonly { readonly name: string; readonly url: string; readonly icons: readonly Named[] }[];
}

const title = 'Oilcan can be installed: its manifest names what is there, and Chromium finds nothing missing';
test(title, { tag: '@whole-browser' }, async ({ open }) => {
  const page = await open('Ines Okafor');
  const address = await page.locator('link[rel=manifest]').getAttribute('href');
  const answer = await page.request.get(address ?? '');
  expect(answer.headers()['content-type']).toContain('application/manifest+json');
  const manifest = (await answer.json()) as Manifest;
  expect(manifest).toMatchObject({ name: 'Oilcan', display: 'standalone' });
  expect(new Set(manifest.icons.map(({ purpose }) => purpose))).toEqual(new Set(['any', 'maskable']));
  for (const { src, sizes, type } of [...manifest.icons, ...manifest.shortcuts.flatMap(({ icons }) => icons)]) {
    const icon = await page.request.get(src);
    expect([src, icon.headers()['content-type']]).toEqual([src, type]);
    // Width and height stand in the head of a PNG (ISO/IEC 15948, 11.2.2).
    const head = await icon.body();
    expect([src, `${head.readUInt32BE(16)}x${head.readUInt32BE(20)}`]).toEqual([src, sizes]);
  }
  const touch = await page.locator('link[rel=apple-touch-icon]').getAttribute('href');
  expect((await page.request.get(touch ?? '')).status()).toBe(200);
  const line = await page.context().newCDPSession(page);
  const { installabilityErrors } = await line.send('Page.getInstallabilityErrors');
  // The browser of a test keeps nothing, as in a private window; anything else would be our fault.
  expect(installabilityErrors.filter(({ errorId }) => errorId !== 'in-incognito')).toEqual([]);

  await expect(page).toHaveTitle('Shift · Oilcan');
  for (const { url } of manifest.shortcuts) {
    await page.goto(url);
    await expect(page).toHaveTitle(url === '/scan' ? 'Scan · Oilcan' : /^W-\d+ .+ · Oilcan$/);
  }
  expect(manifest.start_url).toBe('/shift');
});

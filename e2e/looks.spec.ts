import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, phone, test, wide } from './works';

const problemsOf = async (page: Page): Promise<string[]> => {
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])
    .analyze();
  return violations.map(({ id, nodes }) => `${id}: ${nodes.map((node) => node.html).join('\n')}`);
};

for (const colorScheme of ['light', 'dark'] as const) {
  for (const [name, options] of [
    ['phone', phone],
    ['wide', wide],
  ] as const) {
    test(`axe finds nothing on any view, ${name}, ${colorScheme}`, async ({ open }) => {
      // Nine views, each looked at by axe, on a machine that may be slow.
      test.setTimeout(120_000);
      const tess = await open('Tess Lindqvist', { ...options, colorScheme });
      for (const place of ['/plant', '/stores', '/desk', '/shift']) {
        await tess.goto(place);
        await expect(tess.getByTestId('sent-mark').first()).toBeVisible();
        expect(await problemsOf(tess)).toEqual([]);
      }
      await tess.getByText('Gearbox output seal weeping oil').click();
      await expect(tess.getByRole('heading', { name: 'Prepare' })).toBeVisible();
      expect(await problemsOf(tess)).toEqual([]);
      await tess.getByRole('button', { name: /I have read/ }).click();
      for (const sheet of ['Time', 'Part', 'Reading', 'Note']) {
        await tess.getByRole('button', { name: sheet, exact: true }).click();
        await expect(tess.getByRole('dialog')).toBeVisible();
        expect(await problemsOf(tess)).toEqual([]);
        await tess.keyboard.press('Escape');
      }
      const stranger = await open(null, { ...options, colorScheme });
      await expect(stranger.getByText('This server shows a demo')).toBeVisible();
      expect(await problemsOf(stranger)).toEqual([]);
    });

    test(`axe finds nothing on any view of preparing, ${name}, ${colorScheme}`, async ({ open }) => {
      test.setTimeout(120_000);
      const ines = await open('Ines Okafor', { ...options, colorScheme });
      const views: readonly (readonly [path: string, seen: string | RegExp])[] = [
        ['/plant/lark-gearbox', 'Parts with a serial number'],
        ['/plant/past/lark-gearbox', 'The rows'],
        ['/plant/document/document-manual-lark-gearbox', '1 of 10'],
        ['/plant/document/document-circuit-lark-tension', 'Larger'],
        ['/scan?code=NEW-LABEL-0815', 'NEW-LABEL-0815 is not known'],
        ['/scan', 'Or type the code'],
        ['/scan/try', 'A label that nobody has bound yet'],
        ['/notices', 'Choose what I hear of'],
        ['/shift/kit', 'No jobs are chosen'],
      ];
      for (const [path, seen] of views) {
        await ines.goto(path);
        await expect(ines.getByText(seen).first()).toBeVisible();
        expect({ path, problems: await problemsOf(ines) }).toEqual({ path, problems: [] });
      }
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
      await ines.getByRole('button', { name: 'Print its label' }).click();
      await expect(ines.getByRole('dialog')).toBeVisible();
      expect(await problemsOf(ines)).toEqual([]);
    });

    test(`axe finds nothing on a hazard, what was refused and how it is mended, ${name}, ${colorScheme}`, async ({
      open,
    }) => {
      const tess = await open('Tess Lindqvist', { ...options, colorScheme });
      await tess.getByText('Gearbox output seal weeping oil').click();
      await tess.getByRole('button', { name: /I have read/ }).click();
      await expect(tess.getByText('hazards read', { exact: true })).toBeVisible();
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
  }
}

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

test('everything pressed on the sheet is large enough for a glove', async ({ open }) => {
  const page = await open('Ines Okafor');
  await page.getByText('Gearbox output seal weeping oil').tap();
  for (const role of ['button', 'checkbox', 'radio'] as const) {
    for (const target of await page.getByRole(role).all()) {
      const box = await target.boundingBox();
      if (box === null || (await target.getAttribute('aria-label'))?.startsWith('Go to') === true) continue;
      expect(Math.min(box.width, box.height)).toBeGreaterThanOrEqual(47.5);
    }
  }
});

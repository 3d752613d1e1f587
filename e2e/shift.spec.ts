import AxeBuilder from '@axe-core/playwright';
import { expect, phone, test } from './works';

// Everything here has signal: no service worker needs to fetch the whole application for it.
test.use({ serviceWorkers: 'block' });

for (const colorScheme of ['light', 'dark'] as const) {
  test(`the list is narrowed, stays so through a reload, and shows all again, ${colorScheme}`, async ({ open }) => {
    const ines = await open('Ines Okafor', { ...phone, colorScheme });
    const rows = ines.getByRole('link', { name: /^W-\d+/ });
    // Rows beyond the screen are drawn a moment later.
    await expect.poll(() => rows.count()).toBeGreaterThan(10);
    await ines.waitForTimeout(1_000);
    const all = await rows.count();
    await ines.getByRole('button', { name: 'Filter' }).tap();
    const sheet = ines.getByRole('dialog');
    await sheet.getByRole('checkbox', { name: /^This week/ }).tap();
    await sheet.getByRole('checkbox', { name: /^Inspection/ }).tap();
    await expect(sheet.getByRole('checkbox', { name: /^Inspection/ })).toBeChecked();
    const { violations } = await new AxeBuilder({ page: ines }).analyze();
    expect(violations.map(({ id }) => id)).toEqual([]);
    await ines.getByRole('button', { name: 'Show 4 jobs' }).tap();
    await expect(rows).toHaveCount(4);
    await ines.reload();
    await expect(ines.getByText('Only This week, Inspection.')).toBeVisible();
    await expect(rows).toHaveCount(4);
    await ines.getByRole('searchbox', { name: 'Find anything' }).fill('no such thing');
    await expect(ines.getByText('Nothing fits “no such thing”.')).toBeVisible();
    await ines.getByRole('searchbox', { name: 'Find anything' }).fill('');
    await ines.getByRole('button', { name: 'Show all', exact: true }).tap();
    await expect(rows).toHaveCount(all);
  });
}

test('a job is found by a part of its kit', async ({ open }) => {
  const ines = await open('Ines Okafor');
  await ines.getByRole('searchbox', { name: 'Find anything' }).fill('seal-70-90');
  await expect(ines.getByRole('link', { name: /Gearbox output seal weeping oil/ })).toBeVisible();
});

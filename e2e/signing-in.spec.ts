import { expect, test } from './works';

// Everything here has signal: no service worker needs to fetch the whole application for it.
test.use({ serviceWorkers: 'block' });

test('says what is wrong, at the field or above the button', async ({ open }) => {
  const page = await open(null);
  await page.getByRole('button', { name: 'Sign in' }).tap();
  await expect(page.getByText('Give your name.')).toBeVisible();
  await expect(page.getByText('Give your password.')).toBeVisible();
  await page.getByLabel('Name').fill('Ines Okafor');
  await page.getByLabel('Password').fill('wrong');
  await page.getByRole('button', { name: 'Sign in' }).tap();
  await expect(page.getByRole('alert')).toContainText('Name and password do not fit together');
  await page.getByLabel('Password').fill('mountain');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Shift', exact: true })).toBeVisible();
});

test('shows only the places a person has, and signs out', async ({ open }) => {
  const arun = await open('Arun Petros');
  await expect(arun.getByRole('link', { name: 'Stores' })).toBeVisible();
  await expect(arun.getByRole('link', { name: 'Desk' })).toHaveCount(0);
  await arun.getByRole('button', { name: 'Me', exact: true }).tap();
  await arun.getByRole('button', { name: 'Sign out' }).tap();
  await expect(arun.getByText('This server shows a demo')).toBeVisible();
  await arun.goto('/shift');
  await expect(arun.getByText('This server shows a demo')).toBeVisible();
});

test('lets the work go on when the session ends, and sends it after signing in again', async ({ open }) => {
  const page = await open('Ines Okafor');
  await page.getByText('Service brake lining below 5 mm').tap();
  await page.context().clearCookies();
  await page.getByRole('button', { name: 'Note', exact: true }).tap();
  await page.getByLabel('For the next person').fill('Spare guard is in the base hall.');
  await page.getByRole('button', { name: 'Keep the note' }).tap();
  await expect(page.getByTestId('sent-mark')).toHaveText('Sign in to send');
  await page.getByTestId('sent-mark').tap();
  await page.getByLabel('Password').fill('mountain');
  await page.getByRole('button', { name: 'Sign in and send' }).tap();
  await expect(page.getByTestId('sent-mark')).toHaveText('All sent');
});

test('an address where there is nothing says so and leads back to the work', async ({ open }) => {
  const ines = await open('Ines Okafor');
  for (const path of ['/no/such/page', '/_sitemap']) {
    await ines.goto(path);
    await expect(ines.getByRole('heading', { name: 'There is nothing at this address' })).toBeVisible();
  }
  await ines.getByRole('button', { name: 'To my work' }).tap();
  await expect(ines.getByText('Gearbox output seal weeping oil')).toBeVisible();
});

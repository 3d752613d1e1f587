import { BadLine, type Trouble } from './bad-line';
import { expect, phone, test } from './works';

// Everything here has signal: no service worker needs to fetch the whole application for it.
test.use({ serviceWorkers: 'block' });

const troubles: readonly Trouble[] = ['answers 500', 'hangs', 'loses the answer', 'cuts the answer half-way'];

for (const trouble of troubles) {
  test(`a job on a line that ${trouble} arrives whole and once`, async ({ open, server }) => {
    const line = new BadLine(server.address);
    const ines = await open('Ines Okafor', { ...phone, baseURL: await line.start() });
    await ines.getByText('Service brake lining below 5 mm').tap();
    line.trouble = trouble;
    await ines.getByRole('button', { name: 'I have read the 2 hazards' }).tap();
    await ines.getByRole('button', { name: 'Start my clock' }).tap();
    await ines.getByRole('checkbox', { name: 'Rope on the stop' }).tap();
    await ines.getByRole('button', { name: 'Part', exact: true }).tap();
    await ines.getByRole('button', { name: 'Use 4 pcs Brake lining SB40' }).tap();
    await ines.getByRole('button', { name: 'That is all' }).tap();
    await ines.getByRole('button', { name: 'Note', exact: true }).tap();
    await ines.getByLabel('For the next person').fill('Written on a bad line.');
    await ines.getByRole('button', { name: 'Keep the note' }).tap();
    await expect(ines.getByRole('button', { name: /Written on a bad line/ })).toBeVisible();
    await expect(ines.getByTestId('sent-mark')).toHaveText(/5 on this phone|Sending \d/);
    await ines.reload();
    await expect(ines.getByRole('button', { name: /Written on a bad line/ })).toBeVisible();
    await expect(ines.getByRole('button', { name: 'Stop my clock' })).toBeVisible();

    line.trouble = 'none';
    await ines.evaluate(() => window.dispatchEvent(new Event('online')));
    // A question that hangs is given up after 20 seconds.
    await expect(ines.getByTestId('sent-mark')).toHaveText('All sent');
    const tess = await open('Tess Lindqvist');
    await tess.getByText('Service brake lining below 5 mm').tap();
    await expect(tess.getByRole('button', { name: /Written on a bad line/ })).toHaveCount(1);
    await expect(tess.getByRole('button', { name: /4 pcs Brake lining SB40/ })).toHaveCount(1);
    await expect(tess.getByRole('checkbox', { name: 'Rope on the stop' })).toBeChecked();
    line.stop();
  });
}

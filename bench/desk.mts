import type { Page } from '@playwright/test';
import { beginJob, demoLines, openWorks } from './large-works.mjs';
import { median, percentile, report } from './report.mjs';

const ROUNDS = 20;
const LIMIT_MILLISECONDS = 2_000;

/** What one person ticks, until it stands on the screen of another who looks at the same job: kept, sent, told, fetched, drawn. */
export async function benchDesk(): Promise<void> {
  const { page: lead, signIn, close } = await openWorks(demoLines(1));
  const technician = await signIn('Ines Okafor');
  await beginJob(technician);
  await lead.goto(new URL(technician.url()).pathname);
  await lead.getByRole('checkbox').first().waitFor();
  const times: number[] = [];
  for (let round = 0; round < ROUNDS; round += 1) {
    const seen = momentOfChange(lead);
    const pressed = await technician.evaluate<number>(
      "(document.querySelector('[role=checkbox]').click(), performance.timeOrigin + performance.now())",
    );
    times.push((await seen) - pressed);
  }
  const slowest = percentile(times, 95).toFixed(0);
  const what = `a tick on one phone, to the screen of another (95th percentile ${slowest} ms)`;
  report(what, median(times), 'limit', LIMIT_MILLISECONDS, 'ms', 'aim: 1.0 or less');
  await close();
}

/** When the first box of the page changes next, in milliseconds since 1970. */
function momentOfChange(page: Page): Promise<number> {
  return page.evaluate(`new Promise((resolve) => {
    const box = document.querySelector('[role=checkbox]');
    const watch = new MutationObserver(() => {
      watch.disconnect();
      requestAnimationFrame(() => resolve(performance.timeOrigin + performance.now()));
    });
    watch.observe(box, { attributes: true, attributeFilter: ['aria-checked'] });
  })`);
}

import type { Page } from '@playwright/test';
import { demoLines, manyAssets, manyEnded, manyOpen, openWorks } from './large-works.mjs';
import { percentile, report } from './report.mjs';

/** Typed letter by letter into an empty field. */
/** Between a press on a field and the first letter, in milliseconds: a keyboard has to come up. */
const TURNED_TO_IT = 1_000;
const wordsTyped = ['gearbox', 'lrk-g1', 'tower 5', 'pump', 'seal weeping'];

/** Finding among 20,000 machines and 5,000 open jobs: from a keystroke to the changed list. */
export async function benchFind(): Promise<void> {
  const lines = manyAssets(manyOpen(demoLines(1), 125), 300);
  const { page, close } = await openWorks(lines);
  await page.goto('/plant');
  const plant = await keystrokes(page, 'input[aria-label="Find a machine"]');
  report('a keystroke among 20,000 machines, 95th percentile', plant, 'limit', 30, 'ms', 'aim: 1.0 or less');
  await page.goto('/shift');
  const shift = await keystrokes(page, 'input[aria-label="Find anything"]');
  report(
    'a keystroke among 5,000 open jobs and all that is found, the same',
    shift,
    'limit',
    30,
    'ms',
    'aim: 1.0 or less',
  );
  await close();
}

async function keystrokes(page: Page, selector: string): Promise<number> {
  await page.locator(selector).waitFor();
  // Who turns to a field types a moment later.
  await page.locator(selector).focus();
  await page.waitForTimeout(TURNED_TO_IT);
  const taken: number[] = [];
  for (const words of wordsTyped) {
    for (let length = 1; length <= words.length; length += 1)
      taken.push(await typed(page, selector, words.slice(0, length)));
  }
  return percentile(taken, 95);
}

/** React carries out what is typed before the event returns: that, and the layout it causes, is the person's wait. */
function typed(page: Page, selector: string, text: string): Promise<number> {
  return page.evaluate(`new Promise((resolve) => {
    const field = document.querySelector('${selector}');
    const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set;
    requestAnimationFrame(() => {
      const started = performance.now();
      set.call(field, '${text}');
      field.dispatchEvent(new Event('input', { bubbles: true }));
      document.body.getBoundingClientRect();
      const ended = performance.now();
      setTimeout(() => resolve(ended - started), 30);
    });
  })`);
}

const ROUNDS = 7;

/** The past of a machine with 5,000 events: its sentences on the machine's page, read there first, and then all of it. */
export async function benchPast(): Promise<void> {
  const { page, close } = await openWorks(manyEnded(demoLines(1), 'lark-gearbox', 5_000));
  const sentences: number[] = [];
  const rows: number[] = [];
  for (let round = 0; round < ROUNDS; round += 1) {
    // A page that was loaded anew remembers nothing that it read.
    await page.goto('/plant');
    await page
      .getByText(/\d open/)
      .first()
      .waitFor();
    await page.getByLabel('Find a machine').fill('LRK-G1');
    await page
      .getByRole('link', { name: /LRK-G1/ })
      .first()
      .waitFor();
    await page.waitForTimeout(500);
    sentences.push(await pressed(page, '[role=link]', 'Lark drive gearbox', `text.includes('failures in')`));
    await page.waitForTimeout(500);
    const isThere = `text.includes('The rows') && document.querySelectorAll('[role=link]').length >= 8`;
    rows.push(await pressed(page, '[role=button]', 'What happened before', isThere));
  }
  const aim = 'aim: 1.0 or less';
  report(
    'a machine with 5,000 events, press to what its past says',
    percentile(sentences, 50),
    'limit',
    300,
    'ms',
    aim,
  );
  report('from there, press to all of its past with its first rows', percentile(rows, 50), 'limit', 300, 'ms', aim);
  await close();
}

/** Milliseconds from a press on what begins with these words until something is so, in which `text` is what the page shows. */
function pressed(page: Page, selector: string, words: string, isThere: string): Promise<number> {
  return page.evaluate<number>(`new Promise((resolve) => {
    const started = performance.now();
    const watch = new MutationObserver(() => {
      const text = document.body.innerText;
      if (!(${isThere})) return;
      watch.disconnect();
      requestAnimationFrame(() => resolve(performance.now() - started));
    });
    watch.observe(document.body, { childList: true, subtree: true, characterData: true });
    [...document.querySelectorAll('${selector}')].find((each) => each.innerText.startsWith('${words}')).click();
  })`);
}

import type { Page } from '@playwright/test';
import { demoLines, manyAssets, manyEnded, manyOpen, openWorks } from './large-works.mjs';
import { percentile, report } from './report.mjs';

/** So long the phone alone looks; then the server is asked too, and its answer changes the list again. */
const BEFORE_THE_SERVER = 240;
/** Typed letter by letter into an empty field. */
/** Between a press on a field and the first letter, in milliseconds: a keyboard has to come up. */
const TURNED_TO_IT = 1_000;
const wordsTyped = ['gearbox', 'lrk-g1', 'tower 5', 'pump', 'seal weeping'];

/** Finding among 20,000 machines and 5,000 open jobs: from a keystroke to its letter, and to what the words find. */
export async function benchFind(): Promise<void> {
  const lines = manyAssets(manyOpen(demoLines(1), 125), 300);
  const { page, close } = await openWorks(lines);
  await page.goto('/plant');
  const plant = await keystrokes(page, 'input[aria-label="Find a machine"]');
  reportKeys('a keystroke among 20,000 machines', plant);
  await page.goto('/shift');
  const shift = await keystrokes(page, 'input[aria-label="Find anything"]');
  reportKeys('a keystroke among 5,000 open jobs', shift);
  await close();
}

function reportKeys(what: string, { letter, list }: Typed): void {
  report(`${what}, 95th percentile`, letter, 'limit', 30, 'ms', 'aim: 1.0 or less');
  report(`${what} to all that it finds, the same`, list, 'limit', 100, 'ms', 'aim: 1.0 or less');
}

async function keystrokes(page: Page, selector: string): Promise<Typed> {
  await page.locator(selector).waitFor();
  // Who turns to a field types a moment later.
  await page.locator(selector).focus();
  await page.waitForTimeout(TURNED_TO_IT);
  const taken: Typed[] = [];
  for (const words of wordsTyped) {
    for (let length = 1; length <= words.length; length += 1)
      taken.push(await typed(page, selector, words.slice(0, length)));
  }
  const slow = (part: keyof Typed): number =>
    percentile(
      taken.map((each) => each[part]),
      95,
    );
  return { letter: slow('letter'), list: slow('list') };
}

interface Typed {
  /** Milliseconds until the letter stands in the field, laid out. */
  readonly letter: number;
  /** Milliseconds until the list is what the words find; of no list that changes, until the letter. */
  readonly list: number;
}

/** A letter, and what follows it until the server is asked. */
function typed(page: Page, selector: string, text: string): Promise<Typed> {
  return page.evaluate<Typed>(`new Promise((resolve) => {
    const field = document.querySelector('${selector}');
    const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set;
    requestAnimationFrame(() => {
      let changed = 0;
      const watch = new MutationObserver(() => { changed = performance.now(); });
      watch.observe(document.body, { childList: true, subtree: true, characterData: true });
      const started = performance.now();
      set.call(field, '${text}');
      field.dispatchEvent(new Event('input', { bubbles: true }));
      document.body.getBoundingClientRect();
      const letter = performance.now() - started;
      setTimeout(() => {
        watch.disconnect();
        document.body.getBoundingClientRect();
        resolve({ letter, list: Math.max(letter, changed - started) });
      }, ${BEFORE_THE_SERVER});
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

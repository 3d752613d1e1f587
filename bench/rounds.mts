import type { Page } from '@playwright/test';
import { changeOf } from '@oilcan/core/steps/readings';
import TheilSenRegression from 'ml-regression-theil-sen';
import { BETWEEN_PRESSES, demoLines, openWorks } from './large-works.mjs';
import { median, report } from './report.mjs';

const STOPS = 40;
const STEPS_AT_STOP = 10;
const ENTRIES = 500;
const TITLE = 'Daily round, Lark';
const ROUNDS = 5;
/** Readings of which every pair is compared, at most. */
const TREND_READINGS = 800;

interface Row {
  readonly id: string;
  readonly title?: string;
  readonly workOrderId?: string;
  readonly siteId?: string;
}

/** The demo, its daily round with 40 stops, 400 steps and a record of 500 entries. */
function longRound(lines: readonly string[]): string[] {
  const parsed = lines.map((line) => JSON.parse(line) as { table?: string; row?: Row });
  const work = parsed.find(({ table, row }) => table === 'workOrders' && row?.title === TITLE)?.row;
  if (work === undefined) throw new Error('The demo has no daily round.');
  const assets = parsed.flatMap(({ table, row }) => (table === 'assets' && row !== undefined ? [row] : []));
  const kept = parsed.flatMap(({ row }, index) => (row?.workOrderId === work.id ? [] : [lines[index] ?? '']));
  const on = { siteId: work.siteId, workOrderId: work.id };
  const stops = Array.from({ length: STOPS }, (_, index) => ({
    ...on,
    id: `long-${index + 1}`,
    assetId: assets[index]?.id,
    position: index + 1,
    leftOut: null,
  }));
  const steps = stops.flatMap(({ id: stopId }) =>
    Array.from({ length: STEPS_AT_STOP }, (_, index) => ({
      ...on,
      id: `${stopId}-s${index + 1}`,
      position: index + 1,
      text: `Thing ${index + 1}`,
      question: { type: 'finding' },
      stopId,
      parentId: null,
      condition: null,
      added: null,
      answer: null,
      answeredAt: null,
    })),
  );
  const at = new Date(Date.now() - 3_600_000).toISOString();
  const entries = Array.from({ length: ENTRIES }, (_, index) => ({
    ...on,
    id: `long-e${index}`,
    assetId: assets[0]?.id,
    at,
    by: 'ines',
    amends: null,
    content: { kind: 'note', text: `Note ${index}` },
  }));
  const line = (table: string) => (row: object) => JSON.stringify({ table, row });
  return [...kept, ...stops.map(line('stops')), ...steps.map(line('steps')), ...entries.map(line('entries'))];
}

/** A round of 40 stops and 400 steps with a record of 500 entries: opening its sheet, an answer, and the next stop. */
export async function benchRounds(): Promise<void> {
  const { signIn, close } = await openWorks(longRound(demoLines(1)));
  const page = await signIn('Ines Okafor');
  const opened: number[] = [];
  for (let round = 0; round < ROUNDS; round += 1) {
    await page.getByText(TITLE).scrollIntoViewIfNeeded();
    opened.push(
      await untilShown(
        page,
        `[...document.querySelectorAll('[role=link]')].find((e) => e.textContent.includes('${TITLE}'))`,
        `Stop ${round + 1} of ${STOPS}`,
      ),
    );
    if (round === 0) await page.getByRole('button', { name: /I have read the/ }).click();
    await page.getByRole('button', { name: /^Next: / }).click();
    await page.goBack();
  }
  report('a round of 400 steps, from the press to its sheet', median(opened), 'limit', 150, 'ms', 'aim: 1.0 or less');
  await page.getByText(TITLE).click();
  const answers: number[] = [];
  for (let step = 0; step < STEPS_AT_STOP; step += 1) answers.push(await answer(page, step));
  report('an answer there, to the screen', median(answers), 'limit', 50, 'ms', 'aim: 1.0 or less');
  await close();
}

/** Presses what an expression finds; the milliseconds until a text is on the screen. */
function untilShown(page: Page, pressed: string, text: string): Promise<number> {
  return page.evaluate(`new Promise((resolve) => {
    const started = performance.now();
    (${pressed}).click();
    const look = () => document.body.textContent.includes(${JSON.stringify(text)})
      ? requestAnimationFrame(() => resolve(performance.now() - started)) : requestAnimationFrame(look);
    look();
  })`);
}

/** Answers a step of the stop in sight, as fast after the last as a hand does; the milliseconds until that is on the screen. */
async function answer(page: Page, step: number): Promise<number> {
  await page.waitForTimeout(BETWEEN_PRESSES);
  return page.evaluate(`new Promise((resolve) => {
    const goods = [...document.querySelectorAll('[role=radio]')].filter((e) => e.textContent.includes('Good'));
    const started = performance.now();
    goods[${step}].click();
    const look = () => goods[${step}].getAttribute('aria-checked') === 'true'
      ? requestAnimationFrame(() => resolve(performance.now() - started)) : requestAnimationFrame(look);
    look();
  })`);
}

/** 100,000 readings, asked whether they are changing, as the worker that reads a past does. */
export function benchReadings(): Promise<void> {
  const readings = Array.from({ length: 100_000 }, (_, index) => ({
    day: index / 24,
    value: 60 + Math.sin(index) + index / 50_000,
  }));
  const limits = { alarmLow: null, alertLow: null, alertHigh: 75, alarmHigh: 85 };
  const took = Array.from({ length: ROUNDS }, () => {
    const started = performance.now();
    changeOf(readings, limits);
    return performance.now() - started;
  });
  report('100,000 readings, trend, chart and forecast', median(took), 'limit', 300, 'ms', 'aim: 1.0 or less');
  // A general library compares every pair: it is given as many readings as we bring the 100,000 together into.
  const some = readings.filter((_, index) => index % (readings.length / TREND_READINGS) === 0);
  const [days, values] = [some.map(({ day }) => day), some.map(({ value }) => value)];
  const theirs = Array.from({ length: ROUNDS }, () => {
    const started = performance.now();
    new TheilSenRegression(days, values);
    return performance.now() - started;
  });
  const library = `ml-regression-theil-sen on ${some.length} of them`;
  report('the same', median(took), library, median(theirs), 'ms', 'for comparison');
  return Promise.resolve();
}

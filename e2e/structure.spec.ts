import type { Page } from '@playwright/test';
import { expect, phone, test, wide } from './works';

// Everything here has signal: no service worker needs to fetch the whole application for it.
test.use({ serviceWorkers: 'block' });

interface View {
  readonly path: string;
  /** What shows that all of it is there. */
  readonly seen: string | RegExp;
  readonly lists: readonly string[];
  readonly headings: readonly (string | RegExp)[];
}

const views: readonly View[] = [
  { path: '/shift', seen: /jobs?, .* for everybody/, lists: ['Jobs'], headings: ['This shift'] },
  {
    path: '/plant',
    seen: /not fully running|Everything runs/,
    lists: ['Places and machines'],
    headings: [/not fully running|Everything runs/],
  },
  {
    path: '/plant/lark-gearbox',
    seen: 'Labels bound to it',
    lists: ['Open here', 'Meters and measuring points', 'Documents', 'Whom to call', 'Built in', 'Ratings'],
    headings: ['Open here', 'Hazards and isolation', 'Meters and measuring points', 'Nameplate'],
  },
  { path: '/plant?place=top-drive', seen: 'What happened here', lists: ['Places and machines'], headings: [] },
  { path: '/stores', seen: /bins? (is|are) low/, lists: ['Parts'], headings: [/low$/] },
  {
    path: '/desk',
    seen: /finished jobs? wait/,
    lists: ['Work to be accepted', 'Waits for go-ahead', 'Problems', 'Underway and held'],
    headings: ['Waits for your go-ahead', 'Reports', /finished jobs? wait/, 'Underway and held'],
  },
  { path: '/shift/day', seen: 'Coming days', lists: [], headings: ['Coming days', 'Where my clock starts'] },
  { path: '/shift/kit', seen: 'No jobs are chosen', lists: [], headings: ['No jobs are chosen'] },
  { path: '/reports', seen: /\d problems?/, lists: ['Problems'], headings: [/problems?$/] },
  { path: '/notices', seen: /what I hear of/i, lists: [], headings: [] },
  { path: '/raise', seen: 'Plan it', lists: [], headings: [] },
  { path: '/plant/past/lark-gearbox', seen: 'The rows', lists: ['What the past says'], headings: [] },
];

/** What is wrong with how a view is built, for who hears it instead of seeing it. */
function builtWrong(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const all = (selector: string): Element[] => [...document.querySelectorAll(selector)];
    const wrong: string[] = [];
    for (const [what, selector] of [
      ['main', '[role=main], main'],
      ['banner', '[role=banner], header'],
      ['heading of the first level', 'h1, [role=heading][aria-level="1"]'],
    ] as const) {
      if (all(selector).length !== 1) wrong.push(`${all(selector).length} times ${what}`);
    }
    for (const item of all('[role=listitem]')) {
      if (item.parentElement?.closest('[role=list], [role=listitem]')?.getAttribute('role') !== 'list')
        wrong.push(`an item of no list: ${item.textContent}`);
    }
    for (const list of all('[role=list]')) {
      if (list.querySelector('[role=listitem]') === null)
        wrong.push(`a list of nothing: ${list.getAttribute('aria-label')}`);
      if ((list.getAttribute('aria-label') ?? '') === '') wrong.push('a list without a name');
    }
    for (const row of all('[role=row]')) if (row.closest('[role=table]') === null) wrong.push('a row of no table');
    for (const radio of all('[role=radio], [role=checkbox]'))
      if (!radio.hasAttribute('aria-checked')) wrong.push(`not said whether it is chosen: ${radio.textContent}`);
    for (const field of all('input, textarea'))
      if ((field.getAttribute('aria-label') ?? '') === '') wrong.push(`a field without a name: ${field.outerHTML}`);
    return wrong;
  });
}

for (const [on, options] of [
  ['phone', phone],
  ['wide screen', wide],
] as const) {
  test(`twelve views have their landmarks, headings, lists and states, on a ${on}`, async ({ open }) => {
    test.slow();
    const tess = await open('Tess Lindqvist', options);
    for (const { path, seen, lists, headings } of views) {
      await test.step(path, async () => {
        await tess.goto(path);
        await expect(tess.getByText(seen).first()).toBeVisible();
        const isTable = on === 'wide screen' && ['/stores', '/plant/past/lark-gearbox'].includes(path);
        const [parts] = isTable ? [tess.getByRole('table')] : [];
        if (parts !== undefined) {
          await expect(parts.getByRole('columnheader').first()).toBeVisible();
          const row = parts.getByRole('row').nth(1);
          expect(await row.getByRole('cell').count()).toBe(await parts.getByRole('columnheader').count());
        } else
          for (const name of lists) await expect(tess.getByRole('list', { name, exact: true }).first()).toBeAttached();
        for (const name of headings) await expect(tess.getByRole('heading', { name }).first()).toBeAttached();
        await expect.poll(() => builtWrong(tess)).toEqual([]);
      });
    }
    await tess.goto('/shift');
    await tess.getByRole('link', { name: /Gearbox output seal weeping oil/ }).click();
    for (const name of ['Hazards', 'Kit', 'Steps', 'Record'])
      await expect(tess.getByRole('list', { name, exact: true })).toBeAttached();
    for (const name of ['Prepare', 'Work', 'Wrap up', 'Record'])
      await expect(tess.getByRole('heading', { name, exact: true })).toBeAttached();
    await expect.poll(() => builtWrong(tess)).toEqual([]);
  });
}

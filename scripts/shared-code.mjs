import { readFileSync, writeFileSync } from 'node:fs';

const LOADED = /<script src="(\/_expo\/static\/js\/web\/__common-[^"]+\.js)" defer><\/script>/;

/** Has the page name the code that its pieces share, and not load it before the first screen (`app/src/ui/loading/shared-code.ts`). */
export function nameSharedCode(page) {
  const html = readFileSync(page, 'utf8');
  const shared = LOADED.exec(html)?.[1];
  if (shared === undefined) throw new Error('The page loads no code that its pieces share.');
  writeFileSync(page, html.replace(LOADED, `<meta name="shared-code" content="${shared}" />`));
}

import { readFileSync, statSync } from 'node:fs';
import { report } from './report.mjs';

const LIMIT_KILOBYTES = 400;

/** JavaScript that the first screen of a signed-in person needs, as the server sends it where there is no brotli: what the page names. */
export async function benchSize(): Promise<void> {
  const page = readFileSync('app/dist/index.html', 'utf8');
  const named = [...page.matchAll(/src="\/(_expo\/static\/js\/web\/[^"]+\.js)"/g)].map((match) => match[1] ?? '');
  const kilobytes = named.reduce((sum, file) => sum + statSync(`app/dist/${file}.gz`).size / 1000, 0);
  report('JavaScript of the first screen, gzipped', kilobytes, 'limit', LIMIT_KILOBYTES, 'kB', 'aim: 1.0 or less');
}

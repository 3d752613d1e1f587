import { appendFileSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { generateSW } from 'workbox-build';
import { root } from './root.mjs';

/**
 * Writes the service worker that keeps the whole application on the phone, each file by its revision. A new one waits
 * until the person lets it take over; until then the old application stays whole.
 */
export async function writeServiceWorker() {
  const folder = join(root, 'app', 'dist');
  const swDest = join(folder, 'service-worker.js');
  // What a press on a notification does belongs to the worker itself, and is not a file beside it.
  const press = join(folder, 'workers', 'notification-press.js');
  const pressCode = readFileSync(press, 'utf8');
  rmSync(press);
  const { warnings } = await generateSW({
    globDirectory: folder,
    globPatterns: ['**/*.{html,js,mjs,css,woff,woff2,ico,png,pfb,ttf,webmanifest}'],
    globIgnores: ['service-worker.js'],
    // Their names change with their content, so their content needs no second revision.
    dontCacheBustURLsMatching: /_expo\/static\//,
    swDest,
    navigateFallback: '/index.html',
    // The pages for people without an account are the server's; `app/app/r/[key].tsx` says whom a label leads to them.
    navigateFallbackDenylist: [/^\/api\//, /^\/(healthz|readyz)$/, /^\/r\/follow\//, /^\/r\/.*[?&]for=everybody/],
    maximumFileSizeToCacheInBytes: 8 * 1024 * 1024,
    cleanupOutdatedCaches: true,
    clientsClaim: true,
    skipWaiting: false,
    inlineWorkboxRuntime: true,
    sourcemap: false,
    mode: 'production',
  });
  if (warnings.length > 0) throw new Error(warnings.join('\n'));
  appendFileSync(swDest, `\n${pressCode}`);
}

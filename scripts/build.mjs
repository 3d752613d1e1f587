import { cpSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';
import { hashOf, isDoneFor, noteDone } from './inputs.mjs';
import { root } from './root.mjs';
import { run } from './run.mjs';
import { say } from './say.mjs';

/** Bundles the server and the demo generator, if their sources changed. */
export async function buildNode() {
  const hash = hashOf([
    'core/src',
    'paper/src',
    'server/src',
    'server/guest-page',
    'demo/src',
    'scripts/build-node.mjs',
    'package-lock.json',
  ]);
  if (isDoneFor('build-node', hash, 'server/dist/main.mjs')) return;
  await run(process.execPath, ['scripts/build-node.mjs'], { log: 'build-node' });
  noteDone('build-node', hash);
}

/** Family, subset and weight of each shipped font file. */
const fonts = [
  ['barlow-condensed', 'latin', 500],
  ['barlow-condensed', 'latin', 600],
  ['barlow-condensed', 'latin-ext', 600],
  ['atkinson-hyperlegible-next', 'latin', 400],
  ['atkinson-hyperlegible-next', 'latin', 700],
  ['atkinson-hyperlegible-next', 'latin-ext', 400],
];

/** The same families for what goes onto paper, in the older packing that can be set into a PDF. */
const paperFonts = [
  ['barlow-condensed', 'latin', 600],
  ['barlow-condensed', 'latin-ext', 600],
  ['atkinson-hyperlegible-next', 'latin', 400],
  ['atkinson-hyperlegible-next', 'latin-ext', 400],
  ['atkinson-hyperlegible-next', 'latin', 700],
  ['atkinson-hyperlegible-next', 'latin-ext', 700],
];

function placeFonts() {
  const folder = join(root, 'app', 'public', 'fonts');
  rmSync(folder, { recursive: true, force: true });
  mkdirSync(folder, { recursive: true });
  for (const [family, subset, weight] of fonts) {
    const file = `${family}-${subset}-${weight}-normal.woff2`;
    cpSync(join(root, 'node_modules', '@fontsource', family, 'files', file), join(folder, file));
  }
  for (const [family, subset, weight] of paperFonts) {
    const file = `${family}-${subset}-${weight}-normal.woff`;
    cpSync(join(root, 'node_modules', '@fontsource', family, 'files', file), join(folder, file));
  }
}

/** Builds the web application, if its sources changed. */
export async function buildApplication() {
  const sources = [
    'core/src',
    'paper/src',
    'app/src',
    'app/app',
    'app/public',
    'app/workers',
    'app/assets',
    'app/app.json',
    'app/babel.config.js',
    'app/metro.config.js',
    'app/nothing.js',
    'app/no-head.js',
    'scripts/service-worker.mjs',
    'scripts/shared-code.mjs',
    'package-lock.json',
  ];
  const hash = hashOf(sources);
  if (isDoneFor('build-application', hash, 'app/dist/index.html')) return;
  say('Building the application (about a minute)');
  placeFonts();
  await exportPage('app', 'build-application', async () => {
    const { nameSharedCode } = await import('./shared-code.mjs');
    nameSharedCode(join(root, 'app/dist/index.html'));
    await buildWorkers();
    const { writeServiceWorker } = await import('./service-worker.mjs');
    await writeServiceWorker();
  });
  noteDone('build-application', hash);
  say(' built');
}

/** Exports what stands in a folder as a page for the web, and packs it with what is added to it. */
export async function exportPage(folder, log, addTo = async () => {}) {
  const environment = { ...expoEnvironment, NODE_ENV: 'production' };
  await run('npx', ['expo', 'export', '-p', 'web', '--output-dir', 'dist'], { log, environment, folder });
  await addTo();
  packFiles(join(root, folder, 'dist'));
}

/** Bundles each web worker into a file of its own, which the application starts by its address. */
async function buildWorkers() {
  const { build } = await import('esbuild');
  await build({
    entryPoints: ['notification-press', 'paper', 'past', 'picture', 'scan'].map((name) => `app/workers/${name}.ts`),
    outdir: 'app/dist/workers',
    absWorkingDir: root,
    bundle: true,
    minify: true,
    format: 'iife',
    target: 'es2022',
    logLevel: 'warning',
  });
  await buildPdfReader();
}

/** The PDF reader, its own worker, and the fonts that every PDF may count on; all of it loaded when one is opened. */
async function buildPdfReader() {
  const { build } = await import('esbuild');
  const shared = { absWorkingDir: root, bundle: true, minify: true, target: 'es2022', logLevel: 'error' };
  await build({
    ...shared,
    entryPoints: ['app/workers/pdf.ts'],
    outfile: 'app/dist/workers/pdf.js',
    format: 'iife',
    globalName: 'oilcanPdf',
  });
  const distribution = join(root, 'node_modules', 'pdfjs-dist');
  cpSync(join(distribution, 'legacy/build/pdf.worker.min.mjs'), join(root, 'app/dist/workers/pdf.worker.mjs'));
  cpSync(join(distribution, 'standard_fonts'), join(root, 'app/dist/pdf-fonts'), { recursive: true });
}

/** Packs every text file once with brotli and gzip, so that the server only has to send it. */
function packFiles(folder) {
  for (const entry of readdirSync(folder, { recursive: true, withFileTypes: true })) {
    if (!entry.isFile() || !/\.(js|mjs|css|html|json|svg)$/.test(entry.name)) continue;
    const file = join(entry.parentPath, entry.name);
    const content = readFileSync(file);
    writeFileSync(`${file}.br`, brotliCompressSync(content, { params: { [constants.BROTLI_PARAM_QUALITY]: 10 } }));
    writeFileSync(`${file}.gz`, gzipSync(content, { level: 9 }));
  }
}

/** Works without the network, says nothing to anybody, and leaves out what is not used. */
const expoEnvironment = {
  EXPO_OFFLINE: '1',
  EXPO_NO_TELEMETRY: '1',
  CI: '1',
  EXPO_UNSTABLE_TREE_SHAKING: '1',
  EXPO_UNSTABLE_METRO_OPTIMIZE_GRAPH: '1',
};

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  await buildNode();
  await buildApplication();
}

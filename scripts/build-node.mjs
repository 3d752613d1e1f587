// Bundles the server and the demo generator for Node, and the script of the pages for people without an account.
import { build } from 'esbuild';
import { ourPackagesOnly } from './our-packages.mjs';

await build({
  entryPoints: { 'server/dist/main': 'server/src/main.ts', 'demo/dist/main': 'demo/src/main.ts' },
  outdir: '.',
  outExtension: { '.js': '.mjs' },
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  sourcemap: true,
  logLevel: 'warning',
  plugins: [ourPackagesOnly],
});

await build({
  entryPoints: ['server/guest-page/guest-page.ts'],
  outfile: 'server/dist/guest-page.js',
  bundle: true,
  minify: true,
  format: 'iife',
  target: 'es2020',
  logLevel: 'warning',
});

// Bundles the server and the demo generator for Node.
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

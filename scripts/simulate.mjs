// npm run simulate [-- --seeds N --from N]: many simulated shifts, with progress.
import { install } from './prepare.mjs';
import { run } from './run.mjs';

await install();
const { build } = await import('esbuild');
const { ourPackagesOnly } = await import('./our-packages.mjs');
await build({
  entryPoints: { simulate: 'simulation/main.ts' },
  outdir: 'server/dist',
  outExtension: { '.js': '.mjs' },
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  logLevel: 'warning',
  plugins: [ourPackagesOnly],
});
await run(process.execPath, ['server/dist/simulate.mjs', ...process.argv.slice(2)], { shown: true });

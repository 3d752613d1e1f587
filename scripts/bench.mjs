// npm run bench [-- size operations list]: builds what is measured, then measures it.
import { prepare } from './prepare.mjs';
import { run } from './run.mjs';

await prepare();
const { build } = await import('esbuild');
const { ourPackagesOnly } = await import('./our-packages.mjs');
const sources = {
  name: 'typescript-sources',
  setup(setup) {
    setup.onResolve({ filter: /\.mjs$/ }, ({ path, resolveDir }) => ({
      path: `${resolveDir}/${path.replace(/\.mjs$/, '.mts')}`,
    }));
  },
};
await build({
  entryPoints: { bench: 'bench/main.mts', 'bench-phones': 'bench/phones.mts' },
  outdir: 'server/dist',
  outExtension: { '.js': '.mjs' },
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  logLevel: 'warning',
  plugins: [ourPackagesOnly, sources],
});
await run(process.execPath, ['server/dist/bench.mjs', ...process.argv.slice(2)], { shown: true });

// npm run bench: builds what is measured, then measures it.
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
  entryPoints: ['bench/main.mts'],
  outfile: 'bench/dist/main.mjs',
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  logLevel: 'warning',
  plugins: [ourPackagesOnly, sources],
});
await run(process.execPath, ['bench/dist/main.mjs'], { shown: true });

import { build } from 'esbuild';
import { ourPackagesOnly } from './our-packages.mjs';

/** `./line.mjs` in TypeScript sources means the file `./line.mts`. */
const sources = {
  name: 'typescript-sources',
  setup(setup) {
    setup.onResolve({ filter: /\.mjs$/ }, ({ path, resolveDir }) => ({
      path: `${resolveDir}/${path.replace(/\.mjs$/, '.mts')}`,
    }));
  },
};

/** Bundles programs for Node into server/dist, from where they find the packages that they use. */
export async function bundleForNode(entryPoints) {
  await build({
    entryPoints,
    outdir: 'server/dist',
    outExtension: { '.js': '.mjs' },
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    logLevel: 'warning',
    plugins: [ourPackagesOnly, sources],
  });
}

// Bundles the server and the demo generator for Node: our own packages in, everything else left in node_modules.
import { build } from 'esbuild';

const ours = {
  name: 'only-our-own-packages',
  setup(setup) {
    setup.onResolve({ filter: /^[^./]/ }, ({ path, kind }) => {
      if (kind === 'entry-point' || path.startsWith('@oilcan/')) return undefined;
      return { path, external: true };
    });
  },
};

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
  plugins: [ours],
});

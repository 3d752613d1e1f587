/** For esbuild: our own packages go into the bundle, everything else stays in node_modules. */
export const ourPackagesOnly = {
  name: 'our-packages-only',
  setup(setup) {
    setup.onResolve({ filter: /^[^./]/ }, ({ path, kind }) => {
      if (kind === 'entry-point' || path.startsWith('@oilcan/')) return undefined;
      return { path, external: true };
    });
  },
};

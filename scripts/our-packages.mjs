/** Packages whose names Node does not find when it takes them as modules of today. */
const old = ['rrule'];

/** For esbuild: our own packages go into the bundle, and what Node would not read; everything else stays in node_modules. */
export const ourPackagesOnly = {
  name: 'our-packages-only',
  setup(setup) {
    setup.onResolve({ filter: /^[^./]/ }, ({ path, kind }) => {
      if (kind === 'entry-point' || path.startsWith('@oilcan/') || old.includes(path)) return undefined;
      return { path, external: true };
    });
  },
};

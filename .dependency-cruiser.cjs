/** The directions of imports, types included, that no lint rule can see: circles, layers, and what a feature offers. */

const within = (path) => `^${path}`;

/** Floors from below to above: what lies in one imports nothing of those after it. */
const layers = (name, folders) =>
  folders.slice(0, -1).map((folder, index) => ({
    name: `${name}-goes-downward`,
    severity: 'error',
    comment: `Imports go downward only: ${folders.join(' < ')}`,
    from: { path: within(folder), pathNot: '\\.test\\.tsx?$' },
    to: { path: folders.slice(index + 1).map(within) },
  }));

/** What every feature may use, and what composes them; all others go through what a feature offers. */
const INFRASTRUCTURE = 'page|keys|views|registry';

module.exports = {
  forbidden: [
    {
      name: 'no-circle-of-files',
      severity: 'error',
      from: { pathNot: '\\.test\\.tsx?$|/testing/' },
      to: { circular: true },
    },
    {
      name: 'no-circle-of-folders',
      severity: 'error',
      scope: 'folder',
      from: {},
      to: { circular: true },
    },
    ...layers('core', [
      'core/src/kernel/',
      'core/src/records/',
      'core/src/operations/',
      'core/src/subjects/',
      'core/src/registry/',
      'core/src/sync/',
    ]),
    // The wings, in the order of the work.
    ...layers(
      'wings',
      ['plant', 'orders', 'steps', 'stores', 'recording', 'past', 'raising', 'finishing', 'overview'].map(
        (wing) => `core/src/subjects/${wing}/`,
      ),
    ),
    {
      name: 'work-is-made-one-way',
      severity: 'error',
      comment: 'Every work order is made by putNewWork, so that it has the hazards of its machine.',
      from: {
        path: '^core/src/subjects/',
        pathNot: '^core/src/subjects/orders/(hazards/put-new-work|work/index)\\.ts$',
      },
      to: { path: '^core/src/subjects/orders/work/new-work-order\\.ts$' },
    },
    ...layers('app', ['app/src/ui/', 'app/src/data/', 'app/src/features/']),
    {
      name: 'registry-composes-views',
      severity: 'error',
      comment: 'The registry takes from a feature its views alone.',
      from: { path: '^app/src/features/frame/registry/' },
      to: { path: '^app/src/features/', pathNot: ['^app/src/features/frame/(?:views|registry)/', '-views\\.tsx?$'] },
    },
    {
      name: 'features-offer',
      severity: 'error',
      comment:
        'One feature uses another only through its index.ts, its words.ts where it needs no screen of it, or its first-screen.ts.',
      from: {
        path: '^app/src/features/([^/]+/[^/]+)/',
        pathNot: ['\\.test\\.tsx?$', '^app/src/features/frame/registry/'],
      },
      to: {
        path: '^app/src/features/([^/]+/[^/]+)/',
        pathNot: [
          `^app/src/features/frame/(?:${INFRASTRUCTURE})/`,
          '^app/src/features/$1/',
          '/(index|words|first-screen)\\.tsx?$',
        ],
      },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: ['\\.test\\.tsx?$', '/testing/', '^app/(dist|\\.expo)'] },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'default'] },
  },
};

// Which features each browser test goes through, and what follows from it: which tests a change can touch.
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './root.mjs';

/** On a phone every job goes through these. */
const job = [
  'frame',
  'page',
  'shift',
  'sheet',
  'sign-in',
  'unsent',
  'work',
  'views',
  'registry',
  'hazards',
  'steps',
  'labor',
  'none',
  'schedule',
  'shorthand',
  'forgotten-clock',
  'digest',
  'lifecycle',
  'further',
  'costs',
  'plans',
  'return-to-service',
  'reports',
  'go-ahead',
];

/** The features that a browser test goes through. `npm test` refuses one that opens a view of a feature it does not name. */
export const covers = {
  'bad-input.spec.ts': [...job, 'labor', 'stock'],
  'bad-line.spec.ts': [...job, 'labor', 'notes', 'record'],
  'crash.spec.ts': [...job, 'notes', 'record'],
  'finish.spec.ts': [...job, 'desk', 'keys', 'notes', 'paper', 'plans', 'record', 'review'],
  'hands.spec.ts': [...job, 'notes', 'raise', 'raise-page', 'record', 'stock'],
  'install.spec.ts': [...job, 'scan'],
  'job.spec.ts': [...job, 'desk', 'review', 'keys', 'labor', 'notes', 'readings', 'record', 'stock', 'stores'],
  'keeping.spec.ts': [...job, 'labor', 'notes', 'past', 'photos', 'record', 'stock'],
  'keyboard.spec.ts': [...job, 'desk', 'labor', 'notes', 'readings', 'record', 'review', 'stock'],
  'looks.spec.ts': '*',
  'no-signal.spec.ts': [...job, 'labor', 'notes', 'record', 'stock'],
  'prepare.spec.ts': '*',
  'stores.spec.ts': [...job, 'issue', 'record', 'requests', 'stock', 'stores', 'transfers'],
  'raise.spec.ts': [
    ...job,
    'already-done',
    'desk',
    'incidents',
    'paper',
    'photos',
    'plant',
    'raise-page',
    'raise',
    'record',
    'reports',
    'review',
    'scan',
    'stoppages',
  ],
  'record.spec.ts': [...job, 'attachments', 'notes', 'photos', 'record'],
  'repair.spec.ts': [...job, 'desk', 'review', 'expenses', 'faults', 'notes', 'record', 'stock', 'stoppages'],
  'scan.spec.ts': [...job, 'labels', 'paper', 'plant', 'scan'],
  'shifts.spec.ts': '*',
  'shift.spec.ts': [...job, 'find', 'kit-list', 'keys', 'day'],
  'signing-in.spec.ts': [...job, 'desk', 'stores'],
  'sheets.spec.ts': '*',
  'structure.spec.ts': '*',
  'steps.spec.ts': [...job, 'photos', 'readings', 'record', 'rounds'],
  'taps.spec.ts': [...job, 'attachments', 'find', 'notes', 'photos', 'readings', 'record', 'scan', 'stock'],
  'update.spec.ts': job,
  'weight.spec.ts': job,
};

const featuresAt = join(root, 'app', 'src', 'features');
const foldersIn = (path) =>
  readdirSync(path, { withFileTypes: true }).flatMap((each) => (each.isDirectory() ? [each.name] : []));
/** A feature has its name to itself, in whichever wing it stands. */
const allFeatures = () => foldersIn(featuresAt).flatMap((wing) => foldersIn(join(featuresAt, wing)));

const featureOf = (file) => /^app\/src\/features\/[^/]+\/([^/]+)\//.exec(file)?.[1];

function filesBelow(folder) {
  return readdirSync(join(root, folder), { withFileTypes: true }).flatMap((each) =>
    each.isDirectory() ? filesBelow(`${folder}/${each.name}`) : [`${folder}/${each.name}`],
  );
}

/** The features that a file imports, at once or later on. */
const featuresOf = (file) =>
  [...readFileSync(join(root, file), 'utf8').matchAll(/(?:from|import\()\s*'(\.[^']+)'/g)].flatMap(
    ([, name]) => featureOf(`${join(file, '..', name)}/`) ?? [],
  );

/** The features of the views that are opened by these addresses. */
function featuresOpened(spec) {
  const addresses = [...readFileSync(join(root, 'e2e', spec), 'utf8').matchAll(/['`]\/([a-z][a-z-]*)/g)];
  const routes = join(root, 'app', 'app', '(signed-in)');
  return addresses.flatMap(([, first]) => {
    const own = [`${first}.tsx`, `${first}/index.tsx`].find((file) => existsSync(join(routes, file)));
    return own === undefined ? [] : featuresOf(`app/app/(signed-in)/${own}`);
  });
}

/** What is wrong with the map, as sentences. */
export function problemsOfCovers() {
  const specs = readdirSync(join(root, 'e2e')).filter((file) => file.endsWith('.spec.ts'));
  const features = allFeatures();
  const listOf = (spec) => (covers[spec] === '*' ? features : (covers[spec] ?? []));
  return [
    ...specs.filter((spec) => covers[spec] === undefined).map((spec) => `${spec} is not in scripts/covers.mjs.`),
    ...Object.keys(covers)
      .filter((spec) => !specs.includes(spec))
      .map((spec) => `${spec} is in scripts/covers.mjs, and not in e2e.`),
    ...specs.flatMap((spec) =>
      listOf(spec)
        .filter((name) => !features.includes(name))
        .map((name) => `${spec} names ${name}, which is no feature.`),
    ),
    ...specs.flatMap((spec) =>
      [...new Set(featuresOpened(spec))]
        .filter((name) => !listOf(spec).includes(name))
        .map((name) => `${spec} opens a view of ${name}, and does not name it in scripts/covers.mjs.`),
    ),
  ];
}

const touchesNoPage = /(\.md|\.png|\.test\.tsx?|^(docs|bench|simulation)\/.*|^LICENSE)$/;

/** The browser tests that changes of these files can touch; all of them for what every page is made of. */
export function specsTouchedBy(files) {
  const all = Object.keys(covers);
  const touched = new Set();
  const features = new Set();
  for (const file of files.filter((each) => !touchesNoPage.test(each))) {
    const spec = /^e2e\/([^/]+\.spec\.ts)$/.exec(file)?.[1];
    const own = file.startsWith('app/app/') && existsSync(join(root, file)) ? featuresOf(file) : [featureOf(file)];
    if (spec !== undefined) touched.add(spec);
    else if (own.length === 0 || own.includes(undefined)) return all;
    else for (const name of own) features.add(name);
  }
  // What imports a feature shows it. The registry names all and shows none.
  const changed = new Set(features);
  for (const file of filesBelow('app/src/features')) {
    const by = featureOf(file);
    if (by === undefined || by === 'registry') continue;
    if (featuresOf(file).some((name) => changed.has(name) && name !== by)) features.add(by);
  }
  for (const spec of all)
    if (features.size > 0 && (covers[spec] === '*' || covers[spec].some((name) => features.has(name))))
      touched.add(spec);
  return [...touched].sort();
}

if (process.argv[1] === import.meta.filename) {
  const problems = problemsOfCovers();
  for (const problem of problems) process.stderr.write(`${problem}\n`);
  process.exit(problems.length === 0 ? 0 : 1);
}

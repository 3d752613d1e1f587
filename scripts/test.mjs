// npm test: everything that must hold, from a fresh clone. Its last line is the sum over all runners.
// npm test -- --changed: of the tests, those that what is not committed yet can touch. For working; before a push all run.
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { basename, join } from 'node:path';
import { execFileSync, spawnSync } from 'node:child_process';
import { specsTouchedBy } from './covers.mjs';
import { buildApplication, buildNode } from './build.mjs';
import { compilePackages, installPackages } from './prepare.mjs';
import { postgresPrograms } from './postgres.mjs';
import { root } from './root.mjs';
import { run } from './run.mjs';
import { giveUp, say } from './say.mjs';

const results = join(root, '.oilcan', 'results');
let passed = 0;
let failed = 0;
/** Names of what failed, told once more at the end, where it is read. */
const failures = [];

/** What tools find by reading the code. */
const checks = [
  ['Formatting', 'npx', ['prettier', '--check', '--log-level', 'warn', '.']],
  ['Types of the application', 'npx', ['tsc', '--noEmit', '-p', 'app']],
  ['Lint and import directions', 'npx', ['eslint', '.']],
  ['Types', 'npx', ['tsc', '--noEmit']],
  ['Types of the browser tests', 'npx', ['tsc', '--noEmit', '-p', 'e2e']],
  ['Unused code and dependencies', 'npx', ['knip', '--no-config-hints']],
  ['Circles and layers', 'npm', ['run', '--silent', 'circles']],
  ['Types of the pages for everybody', 'npx', ['tsc', '--noEmit', '-p', 'server/guest-page']],
  ['What each browser test covers', 'node', ['scripts/covers.mjs']],
  ['Paths that the documents name', 'node', ['scripts/paths-in-docs.mjs']],
];

rmSync(results, { recursive: true, force: true });
mkdirSync(results, { recursive: true });
const changed = process.argv.includes('--changed') ? changedFiles() : null;
try {
  ensureTools();
  await installPackages();
  // None of these waits for another, and most keep one core busy; what takes longest comes first.
  await inTwoLanes([compilePackages, buildApplication, ...checks.map((each) => () => check(...each))]);
  await buildNode();
} catch (error) {
  giveUp(`${error.message}\n${passed} passed, ${failed + 1} failed`);
}
await unitTests();
if (changed === null) await postgresTests();
await browserTests();
if (failures.length > 0) say(`\nFailed: ${failures.join(', ')}`);
say(`${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);

/** Jest finds by the imports what a change can touch. */
async function unitTests() {
  const code = changed?.filter((file) => /\.tsx?$/.test(file) && existsSync(join(root, file))) ?? [];
  const related = code.length > 0 ? ['--findRelatedTests', ...code, '--passWithNoTests'] : [];
  if (changed !== null && code.length === 0) return say('\nUnit tests: nothing that changed can touch one');
  const report = join(results, 'jest.json');
  const args = ['jest', ...related, '--json', '--outputFile', report];
  await runner('Unit tests', 'npx', args, () => countJest(report));
}

/** Of the server what differs with its database, and what several servers on one do; `npm run test:postgres` runs everything. */
async function postgresTests() {
  if (postgresPrograms() === null) return say('\nOn PostgreSQL: it is not installed, and its tests are left out');
  const report = join(results, 'postgres.json');
  const chosen = ['database/', 'sync/', 'several-servers', 'retention', 'numbers', 'find/', 'plans/'];
  const args = ['scripts/test-postgres.mjs', ...chosen, '--json', '--outputFile', report];
  await runner('On PostgreSQL', process.execPath, args, () => countJest(report));
}

async function browserTests() {
  const specs = changed === null ? [] : specsTouchedBy(changed);
  if (changed !== null && specs.length === 0) return say('\nThe real interface: nothing that changed can touch it');
  await runner('The real interface', 'npx', ['playwright', 'test', ...specs], countPlaywright);
}

/** Files that differ from the last commit, and new ones, from the root of the project. */
function changedFiles() {
  const git = (...args) => execFileSync('git', args, { cwd: root, encoding: 'utf8' }).split('\n').filter(Boolean);
  return [...git('diff', '--name-only', 'HEAD'), ...git('ls-files', '--others', '--exclude-standard')];
}

/** Does them in this order, two at a time. */
async function inTwoLanes(tasks) {
  const waiting = [...tasks];
  const lane = async () => {
    for (let task = waiting.shift(); task !== undefined; task = waiting.shift()) await task();
  };
  await Promise.all([lane(), lane()]);
}

/** A tool that finds nothing or something: counts as one. */
async function check(name, command, args) {
  const isFine = await tell(name, () => run(command, args, { log: name.toLowerCase().replaceAll(' ', '-') }));
  if (isFine) passed += 1;
  else failed += 1;
}

/** A test runner, whose tests are counted one by one. One that leaves no count has failed. */
async function runner(name, command, args, count) {
  const isFine = await tell(name, () => run(command, args, { shown: true }));
  const counted = count();
  passed += counted.passed;
  failed += counted.failed;
  if (!isFine && counted.failed === 0) failed += 1;
  if (counted.passed + counted.failed === 0 && changed === null) failed += 1;
}

async function tell(name, work) {
  const started = Date.now();
  say(`\n${name}`);
  try {
    await work();
    say(`${name}: fine (${Math.round((Date.now() - started) / 1000)} s)`);
    return true;
  } catch (error) {
    failures.push(name);
    say(`${name}: FAILED\n${error.message}`);
    return false;
  }
}

function countJest(file) {
  if (!existsSync(file)) return { passed: 0, failed: 0 };
  const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites } = JSON.parse(readFileSync(file, 'utf8'));
  return { passed: numPassedTests, failed: numFailedTests + numRuntimeErrorTestSuites };
}

function countPlaywright() {
  const file = join(results, 'playwright.json');
  if (!existsSync(file)) return { passed: 0, failed: 0 };
  const { stats, suites } = JSON.parse(readFileSync(file, 'utf8'));
  for (const title of titlesOfFlaky(suites))
    say(`Passed the second time only, so there is a race to be found: ${title}`);
  return { passed: stats.expected + stats.flaky, failed: stats.unexpected + stats.skipped };
}

/** The tests that failed and then passed, however deep they are grouped. */
function titlesOfFlaky(suites) {
  return suites.flatMap(({ specs = [], suites: inner = [] }) => [
    ...specs.filter(({ tests }) => tests.some(({ status }) => status === 'flaky')).map(({ title }) => title),
    ...titlesOfFlaky(inner),
  ]);
}

/** The browser, the reader of our PDFs, and a server of PostgreSQL, which the tests need: there, installed, or named in a sentence. */
function ensureTools() {
  const chromium = process.env.OILCAN_CHROMIUM ?? '/usr/bin/chromium';
  const missing = [
    ...(existsSync(chromium) ? [] : ['chromium']),
    ...(hasCommand('pdftotext') && hasCommand('pdftoppm') ? [] : ['poppler-utils']),
    ...(hasCommand('qpdf') ? [] : ['qpdf']),
  ];
  const canInstall = process.platform === 'linux' && process.getuid?.() === 0 && existsSync('/usr/bin/apt-get');
  // Quicker, but not needed.
  const shell = '/usr/bin/chromium-headless-shell';
  const wanted = [
    ...(canInstall && process.env.OILCAN_CHROMIUM === undefined && !existsSync(shell) ? [basename(shell)] : []),
    ...(canInstall && postgresPrograms() === null ? ['postgresql'] : []),
  ];
  if (missing.length === 0 && wanted.length === 0) return;
  if (!canInstall) {
    throw new Error(
      `The tests need Chromium at ${chromium}, and pdftotext and pdftoppm of Poppler. Install them (apt-get install -y ${missing.join(' ')}), or name your browser with OILCAN_CHROMIUM=/path/to/it.`,
    );
  }
  say(`Installing ${[...missing, ...wanted].join(' and ')}`);
  const quietly = { stdio: 'ignore', env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } };
  const installed = (...names) => spawnSync('apt-get', ['install', '-y', '-qq', ...names], quietly).status === 0;
  spawnSync('apt-get', ['update', '-qq'], quietly);
  if (installed(...missing, ...wanted) || installed(...missing)) return;
  throw new Error(`${missing.join(' and ')} could not be installed.`);
}

function hasCommand(name) {
  return spawnSync(name, ['-v'], { stdio: 'ignore' }).error === undefined;
}

// npm run test:any-day: all unit tests as if it were another day, or elsewhere, one after the other; the present is faked by Debian's faketime.
// npm run test:any-day -- 2031-06-15T09:00Z: on that day alone. Its last lines are a table.
import { spawnSync } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './root.mjs';
import { giveUp, say } from './say.mjs';

const DAY = 24 * 3_600_000;
const startedAt = Date.now();

/** When and where: at which moment the tests begin, and in which time zone the machine stands. */
const occasions = [
  { name: 'tomorrow', at: startedAt + DAY },
  { name: 'in 45 days', at: startedAt + 45 * DAY },
  { name: '2027-03-28 01:30 in Vienna', at: Date.parse('2027-03-28T01:30+01:00'), zone: 'Europe/Vienna' },
  { name: '2027-10-31 02:30 in Vienna', at: Date.parse('2027-10-31T02:30+02:00'), zone: 'Europe/Vienna' },
  { name: '2027-12-31 23:50', at: Date.parse('2027-12-31T23:50Z') },
  { name: '2028-02-29', at: Date.parse('2028-02-29T10:00Z') },
  { name: '2031', at: Date.parse('2031-06-15T10:00Z') },
  ...['UTC', 'America/St_Johns', 'Asia/Kolkata', 'Pacific/Apia'].map((zone) => ({ name: zone, at: null, zone })),
];

const given = process.argv.slice(2);
const chosen = given.length === 0 ? occasions : given.map(occasionOf);
if (spawnSync('faketime', ['--version']).status !== 0)
  giveUp('This needs faketime: apt-get install -y faketime, or the like.');

const table = [];
for (const { name, at, zone } of chosen) {
  say(`\n${name}`);
  const report = join(root, '.oilcan', 'any-day.json');
  mkdirSync(join(root, '.oilcan'), { recursive: true });
  rmSync(report, { force: true });
  const jest = ['npx', 'jest', '--silent', '--json', '--outputFile', report];
  // Counted from the real present, so that all processes have the same; timers run as they do.
  const shift =
    at === null
      ? []
      : ['faketime', '-f', `${at < Date.now() ? '-' : '+'}${Math.abs(Math.round((at - Date.now()) / 1000))}s`];
  const [program, ...args] = [...shift, ...jest];
  const environment = {
    FAKETIME_DONT_FAKE_MONOTONIC: '1',
    NO_FAKE_STAT: '1',
    ...(zone === undefined ? {} : { TZ: zone }),
  };
  spawnSync(program, args, {
    cwd: root,
    stdio: ['ignore', 'ignore', 'ignore'],
    env: { ...process.env, ...environment },
  });
  const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites, testResults } = JSON.parse(
    readFileSync(report, 'utf8'),
  );
  const failed = numFailedTests + numRuntimeErrorTestSuites;
  for (const { assertionResults } of testResults)
    for (const { status, fullName } of assertionResults) if (status === 'failed') say(`  ${fullName}`);
  table.push({ name, passed: numPassedTests, failed });
}
say('');
for (const { name, passed, failed } of table) say(`${name.padEnd(28)} ${passed} passed, ${failed} failed`);
process.exit(table.every(({ failed }) => failed === 0) ? 0 : 1);

function occasionOf(text) {
  const known = occasions.find(({ name }) => name === text);
  const at = Date.parse(text);
  if (known === undefined && Number.isNaN(at))
    giveUp(
      `“${text}” is neither a moment such as 2031-06-15T09:00Z nor one of: ${occasions.map(({ name }) => name).join(', ')}.`,
    );
  return known ?? { name: text, at };
}

import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { benchDesk } from './desk.mjs';
import { benchDigest } from './digest.mjs';
import { benchFinishing, benchManyFinished, benchRecordPaper } from './finishing.mjs';
import { benchFirstVisit } from './first-visit.mjs';
import { benchHistory } from './history.mjs';
import { benchList } from './list.mjs';
import { benchCrowd, benchDrain, benchOperations } from './operations.mjs';
import { benchLongRecord } from './long-record.mjs';
import { benchFullPhone, benchStart } from './phone.mjs';
import { benchPlans } from './plans.mjs';
import { benchFind, benchPast } from './preparing.mjs';
import { benchGuestPage, benchKnown, benchReporters } from './raising.mjs';
import { benchRecording } from './recording.mjs';
import { takeMeasured } from './report.mjs';
import {
  fellBehind,
  isReached,
  merged,
  nameOf,
  resultsOf,
  tableOf,
  withTable,
  type Measured,
  type Result,
} from './results';
import { benchPulling } from './pulling.mjs';
import { benchReadings, benchRounds } from './rounds.mjs';
import { benchSize } from './size.mjs';

const benches = {
  size: benchSize,
  operations: benchOperations,
  drain: benchDrain,
  crowd: benchCrowd,
  list: benchList,
  desk: benchDesk,
  'full-phone': benchFullPhone,
  start: benchStart,
  'first-visit': benchFirstVisit,
  find: benchFind,
  past: benchPast,
  history: benchHistory,
  pulling: benchPulling,
  rounds: benchRounds,
  readings: benchReadings,
  recording: benchRecording,
  'long-record': benchLongRecord,
  digest: benchDigest,
  plans: benchPlans,
  finishing: benchFinishing,
  'many-finished': benchManyFinished,
  'record-paper': benchRecordPaper,
  known: benchKnown,
  'guest-page': benchGuestPage,
  reporters: benchReporters,
};
/** So many times each is measured: fewer say nothing of how far they lie apart. */
const USUAL_RUNS = 3;
const KEPT = 'docs/benchmarks.json';
const DOCUMENT = 'docs/BENCHMARKS.md';

const asked = process.argv.slice(2);
const runs = Number(/^--runs=(\d+)$/.exec(asked.find((each) => each.startsWith('--runs=')) ?? '')?.[1] ?? USUAL_RUNS);
const wanted = asked.filter((each) => !each.startsWith('--'));
const commit = execFileSync('git', ['rev-parse', '--short', 'HEAD']).toString().trim();
const day = new Date().toISOString().slice(0, 10);
const before = JSON.parse(readFileSync(KEPT, 'utf8')) as Result[];
const now: Result[] = [];
let failed = 0;
for (const [name, bench] of Object.entries(benches)) {
  if (wanted.length > 0 && !wanted.includes(name)) continue;
  const measured: Measured[][] = [];
  for (let run = 0; run < runs; run += 1) {
    try {
      await bench();
    } catch (error) {
      // One that fails is told of, and takes no other with it.
      failed += 1;
      process.stdout.write(`${name} FAILED: ${String(error)}\n`);
    }
    measured.push(takeMeasured());
  }
  now.push(...resultsOf(measured, { day, commit }));
  // After each, so that what was measured stays when a later one is stopped.
  const results = merged(before, now);
  writeFileSync(KEPT, `${JSON.stringify(results, null, 2)}\n`);
  writeFileSync(DOCUMENT, withTable(readFileSync(DOCUMENT, 'utf8'), tableOf(results)));
}
const behind = fellBehind(before, now);
for (const { before: earlier, now: result } of behind)
  process.stdout.write(
    `FELL BEHIND: ${nameOf(result)}: ${earlier.ratio.median.toFixed(2)} on ${earlier.day} (${earlier.commit}), now ${result.ratio.median.toFixed(2)}\n`,
  );
for (const result of now)
  if (isReached(result) === false) process.stdout.write(`NOT REACHED: ${nameOf(result)} (${result.aim})\n`);
process.stdout.write(
  `${now.length} measured, ${behind.length} fell behind, ${failed} failed. Written to ${DOCUMENT}.\n`,
);
process.exitCode = failed > 0 ? 1 : 0;

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
const wanted = process.argv.slice(2);
for (const [name, bench] of Object.entries(benches)) {
  if (wanted.length === 0 || wanted.includes(name)) await bench();
}

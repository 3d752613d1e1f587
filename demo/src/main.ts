import { parseArgs } from 'node:util';
import { instantFromMillis, parseInstant } from '@oilcan/core/kernel';
import { makeDocuments } from './documents/documents';
import { generateDemo } from './generate';

/** Prints the demo as JSON lines: `main.mjs --scale 1 --password …`. `OILCAN_NOW` fixes its present. */
const { values } = parseArgs({
  options: { scale: { type: 'string', default: '1' }, password: { type: 'string', default: 'mountain' } },
});
const scale = Number(values.scale);
if (!Number.isFinite(scale) || scale < 1 || scale > 1000) {
  process.stderr.write('--scale is a number from 1 to 1000.\n');
  process.exit(1);
}
const fixed = process.env['OILCAN_NOW'];
const now = fixed === undefined ? instantFromMillis(Date.now()) : parseInstant(fixed);

let chunk = '';
for (const line of generateDemo({ now, scale, password: values.password, documents: await makeDocuments() })) {
  chunk += `${JSON.stringify(line)}\n`;
  if (chunk.length < 1 << 16) continue;
  if (!process.stdout.write(chunk)) await new Promise((resolve) => process.stdout.once('drain', resolve));
  chunk = '';
}
process.stdout.write(chunk);

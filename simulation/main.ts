import { parseArgs } from 'node:util';
import { simulate } from './simulate';

const { values } = parseArgs({
  options: { seeds: { type: 'string', default: '1000' }, from: { type: 'string', default: '1' } },
});
const [from, count] = [Number(values.from), Number(values.seeds)];
const started = performance.now();
const PROGRESS_EVERY = 1_000;

for (let seed = from; seed < from + count; seed += 1) {
  const failure = await simulate(seed);
  if (failure !== null) {
    process.stdout.write(
      `Seed ${seed} breaks a promise:\n${failure.broken.join('\n')}\nAfter:\n${failure.history.map((event) => JSON.stringify(event)).join('\n')}\n`,
    );
    process.exit(1);
  }
  const done = seed - from + 1;
  if (done % PROGRESS_EVERY === 0)
    process.stdout.write(`${done} of ${count} shifts, ${Math.round((performance.now() - started) / 1000)} s\n`);
}
process.stdout.write(`${count} shifts, every promise kept\n`);

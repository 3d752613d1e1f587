// npm run bench [-- size operations list start --runs=5]: builds what is measured, measures it, and writes docs/BENCHMARKS.md.
import { prepare } from './prepare.mjs';
import { run } from './run.mjs';

await prepare();
const asked = process.argv.slice(2);
const names = asked.filter((each) => !each.startsWith('--'));
if (names.length === 0 || names.includes('first-visit')) await (await import('./empty-page.mjs')).buildEmptyPage();
const { bundleForNode } = await import('./bundle.mjs');
await bundleForNode({ bench: 'bench/main.mts', 'bench-phones': 'bench/phones.mts' });
await run(process.execPath, ['server/dist/bench.mjs', ...asked], { shown: true });

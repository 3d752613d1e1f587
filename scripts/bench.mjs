// npm run bench [-- size operations drain crowd list full-phone start]: builds what is measured, then measures it.
import { prepare } from './prepare.mjs';
import { run } from './run.mjs';

await prepare();
const asked = process.argv.slice(2);
if (asked.length === 0 || asked.includes('first-visit')) await (await import('./empty-page.mjs')).buildEmptyPage();
const { bundleForNode } = await import('./bundle.mjs');
await bundleForNode({ bench: 'bench/main.mts', 'bench-phones': 'bench/phones.mts' });
await run(process.execPath, ['server/dist/bench.mjs', ...asked], { shown: true });

// npm run simulate [-- --seeds N --from N]: many simulated shifts, with progress.
import { install } from './prepare.mjs';
import { run } from './run.mjs';

await install();
const { bundleForNode } = await import('./bundle.mjs');
await bundleForNode({ simulate: 'simulation/main.ts' });
await run(process.execPath, ['server/dist/simulate.mjs', ...process.argv.slice(2)], { shown: true });

// npm run test:postgres: the tests of the server and the simulation on PostgreSQL. Further words choose among them, as Jest takes them.
import { spawnSync } from 'node:child_process';
import { startPostgres } from './postgres.mjs';
import { root } from './root.mjs';

const postgres = await startPostgres();
const given = process.argv.slice(2);
const { status } = spawnSync('npx', ['jest', '--selectProjects', 'server', 'simulation', ...given], {
  cwd: root,
  stdio: 'inherit',
  env: { ...process.env, OILCAN_TEST_POSTGRES: postgres.address },
});
await postgres.stop();
process.exit(status ?? 1);

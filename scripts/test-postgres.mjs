// npm run test:postgres: the tests of the server and the simulation on PostgreSQL. Further words choose among them, as Jest takes them.
import { startPostgres } from './postgres.mjs';
import { run } from './run.mjs';

const postgres = await startPostgres();
const given = process.argv.slice(2);
const args = ['jest', '--selectProjects', 'server', 'simulation', ...given];
try {
  await run('npx', args, { shown: true, environment: { OILCAN_TEST_POSTGRES: postgres.address } });
} catch {
  process.exitCode = 1;
} finally {
  await postgres.stop();
}

// npm run test:postgres: the tests of the server and the simulation on PostgreSQL. Further words choose among them, as Jest takes them.
import { startPostgres } from './postgres.mjs';
import { run } from './run.mjs';

const postgres = await startPostgres();
const given = process.argv.slice(2);
// What is given comes first: the projects take every word after them for one more.
const args = ['jest', ...given, '--selectProjects', 'server', 'simulation'];
try {
  await run('npx', args, { shown: true, environment: { OILCAN_TEST_POSTGRES: postgres.address } });
} catch {
  process.exitCode = 1;
} finally {
  await postgres.stop();
}

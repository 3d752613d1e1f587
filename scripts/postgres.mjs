// A PostgreSQL server of the tests' own: on a free port, in a folder that goes with it.
import { execFileSync, spawn } from 'node:child_process';
import { chownSync, existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const DEBIAN = '/usr/lib/postgresql';
const READY_SECONDS = 60;

/** Where its programs are; null where it is not installed. */
export function postgresPrograms() {
  const versions = existsSync(DEBIAN)
    ? readdirSync(DEBIAN)
        .map(Number)
        .sort((a, b) => b - a)
    : [];
  const folder = versions
    .map((version) => join(DEBIAN, String(version), 'bin'))
    .find((bin) => existsSync(join(bin, 'initdb')));
  return folder ?? null;
}

/**
 * Starts one that keeps nothing through a power cut, which no test needs, and writes the faster for it.
 *
 * @returns its address without a database; `stop` ends it and removes its folder; `restart` ends it at once, as a crash does, and starts it again
 */
export async function startPostgres({ isDurable = false } = {}) {
  const programs = postgresPrograms();
  if (programs === null) throw new Error('PostgreSQL is not installed: apt-get install postgresql.');
  const folder = mkdtempSync(join(tmpdir(), 'oilcan-postgres-'));
  // It refuses to run as root.
  const owner = process.getuid?.() === 0 ? userOf('postgres') : {};
  if (owner.uid !== undefined) chownSync(folder, owner.uid, owner.gid);
  const data = join(folder, 'data');
  const how = { ...owner, cwd: folder, stdio: 'ignore' };
  execFileSync(
    join(programs, 'initdb'),
    ['-D', data, '-U', 'oilcan', '--auth=trust', '--locale=C', '--encoding=UTF8', '--no-sync'],
    how,
  );
  const port = await freePort();
  const settings = {
    listen_addresses: '127.0.0.1',
    unix_socket_directories: folder,
    max_connections: 200,
    ...(isDurable ? {} : { fsync: 'off', synchronous_commit: 'off', full_page_writes: 'off' }),
  };
  const given = Object.entries(settings).flatMap(([name, value]) => ['-c', `${name}=${value}`]);
  const begin = async () => {
    const server = spawn(join(programs, 'postgres'), ['-D', data, '-p', String(port), ...given], how);
    await ready(programs, port, server);
    return server;
  };
  let server = await begin();
  const end = async (signal) => {
    const ended = new Promise((resolve) => server.once('exit', resolve));
    server.kill(signal);
    await ended;
  };
  return {
    address: `postgres://oilcan@127.0.0.1:${port}`,
    restart: async () => {
      await end('SIGQUIT');
      server = await begin();
    },
    stop: async () => {
      await end('SIGINT');
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

/** The user and group of a name. */
function userOf(name) {
  const number = (flag) => Number(execFileSync('id', [flag, name], { encoding: 'utf8' }));
  return { uid: number('-u'), gid: number('-g') };
}

function freePort() {
  return new Promise((resolve, reject) => {
    const server = createServer();
    server.once('error', reject);
    server.listen(0, '127.0.0.1', () => {
      const { port } = server.address();
      server.close(() => resolve(port));
    });
  });
}

async function ready(programs, port, server) {
  for (let tried = 0; tried < READY_SECONDS * 10; tried += 1) {
    if (server.exitCode !== null) throw new Error(`PostgreSQL ended with ${server.exitCode} as it started.`);
    try {
      execFileSync(join(programs, 'pg_isready'), ['-h', '127.0.0.1', '-p', String(port), '-q']);
      return;
    } catch {
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
  }
  throw new Error('PostgreSQL does not answer.');
}

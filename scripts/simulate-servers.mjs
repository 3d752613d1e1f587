// npm run simulate:servers [-- --phones N --minutes M]: many phones on two servers and one PostgreSQL, each of which is killed in turn.
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { connect, createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { install } from './prepare.mjs';
import { startPostgres } from './postgres.mjs';
import { root } from './root.mjs';
import { run } from './run.mjs';

const KILL_MILLISECONDS = 20_000;
const { values } = parseArgs({
  options: { phones: { type: 'string', default: '2000' }, minutes: { type: 'string', default: '10' } },
});

await install();
const { bundleForNode } = await import('./bundle.mjs');
await bundleForNode({ 'simulate-servers': 'simulation/servers/main.ts' });
await run(process.execPath, ['scripts/build-node.mjs']);
const postgres = await startPostgres({ isDurable: true });
const folder = mkdtempSync(join(tmpdir(), 'oilcan-servers-'));
const database = `${postgres.address}/postgres`;

/** A server that is started again when it dies. */
class Served {
  port = 0;
  #child = null;
  #isOver = false;

  async start() {
    const environment = {
      ...process.env,
      PORT: '0',
      DATABASE_URL: database,
      OILCAN_FILES: join(folder, 'files'),
      OILCAN_OUTBOX: join(folder, 'outbox'),
      OILCAN_SECURE_COOKIE: '0',
      OILCAN_REQUESTS_PER_MINUTE: '1000000000',
    };
    const child = spawn(process.execPath, ['server/dist/main.mjs', 'serve'], { cwd: root, env: environment });
    this.#child = child;
    child.stderr.on('data', (text) => process.stdout.write(`server: ${text}`));
    child.once('exit', () => {
      this.port = 0;
      if (!this.#isOver) setTimeout(() => void this.start(), 1_000);
    });
    await new Promise((resolve) => {
      child.stdout.on('data', (text) => {
        const port = /:(\d+)\s*$/.exec(String(text))?.[1];
        if (port === undefined) return;
        this.port = Number(port);
        resolve();
      });
      child.once('exit', resolve);
    });
  }

  kill(isOver = false) {
    this.#isOver = isOver;
    this.#child?.kill('SIGKILL');
  }
}

const servers = [new Served(), new Served()];
for (const server of servers) await server.start();

/** Gives each connection to the next server that is there. */
let next = 0;
const proxy = createServer((phone) => {
  next += 1;
  const there = servers.filter(({ port }) => port !== 0);
  const server = there[next % Math.max(1, there.length)];
  if (server === undefined) return phone.destroy();
  const line = connect(server.port, '127.0.0.1');
  for (const [from, to] of [
    [phone, line],
    [line, phone],
  ]) {
    from.on('error', () => to.destroy());
    from.on('close', () => to.destroy());
    from.pipe(to);
  }
});
await new Promise((resolve) => proxy.listen(0, '127.0.0.1', resolve));

const kills = [() => servers[0].kill(), () => servers[1].kill(), () => postgres.restart()];
let killed = 0;
const killing = setInterval(() => {
  void kills[killed % kills.length]();
  killed += 1;
}, KILL_MILLISECONDS);

const address = `http://127.0.0.1:${proxy.address().port}`;
const crowd = spawn(
  process.execPath,
  [
    'server/dist/simulate-servers.mjs',
    '--address',
    address,
    '--database',
    database,
    '--phones',
    values.phones,
    '--minutes',
    values.minutes,
  ],
  { cwd: root, stdio: ['ignore', 'inherit', 'inherit', 'ipc'] },
);
crowd.on('message', () => {
  clearInterval(killing);
  process.stdout.write(`${killed} times a server or PostgreSQL was killed\n`);
});
process.exitCode = await new Promise((resolve) => crowd.once('exit', (code) => resolve(code ?? 1)));
clearInterval(killing);
proxy.close();
for (const server of servers) server.kill(true);
await postgres.stop();
rmSync(folder, { recursive: true, force: true });
process.exit();

// npm run demo [-- --reset] [-- --scale N]: everything from a fresh clone to a running demo.
import { spawn } from 'node:child_process';
import { existsSync, renameSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { checkMachine, prepare } from './prepare.mjs';
import { root } from './root.mjs';
import { giveUp, say } from './say.mjs';

const PASSWORD = 'mountain';
const { values } = parseArgs({
  options: { reset: { type: 'boolean', default: false }, scale: { type: 'string', default: '1' } },
});
const port = process.env.PORT ?? '4870';
const host = process.env.HOST ?? '127.0.0.1';
const database = process.env.DATABASE_URL ?? join(root, '.oilcan', 'demo.sqlite');
const environment = {
  // Made-up data may go over a plain line, also to a phone in the same house.
  OILCAN_SECURE_COOKIE: '0',
  ...process.env,
  PORT: port,
  HOST: host,
  DATABASE_URL: database,
  OILCAN_DEMO_PASSWORD: PASSWORD,
};

checkMachine();
if (!/^\d+$/.test(port) || Number(port) > 65_535) giveUp(`PORT is “${port}”; it must be a whole number up to 65535.`);
await checkPort();
try {
  await prepare();
  await makeDatabase();
} catch (error) {
  giveUp(
    /ENOSPC|no space/i.test(String(error))
      ? 'There is no space left on the disk. Free about 2 GB and start again.'
      : error.message,
  );
}
serve();

async function checkPort() {
  const failure = await new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', (error) => resolve(error.code));
    probe.listen(Number(port), host, () => probe.close(() => resolve(undefined)));
  });
  if (failure === 'EADDRINUSE')
    giveUp(`Port ${port} is in use. Stop what runs there, or choose another: PORT=4871 npm run demo`);
  if (failure !== undefined)
    giveUp(`Port ${port} on ${host} cannot be opened (${failure}). Choose another with PORT= and HOST=.`);
}

/** Generates the mountain into a new database, unless one is kept from an earlier start. */
async function makeDatabase() {
  if (values.reset) for (const ending of ['', '-wal', '-shm']) rmSync(`${database}${ending}`, { force: true });
  if (existsSync(database)) return;
  // Made under another name first: what was interrupted is never taken for a whole database.
  const unfinished = `${database}.unfinished`;
  rmSync(unfinished, { force: true });
  say('Making the demo data');
  const generator = spawn(process.execPath, ['demo/dist/main.mjs', '--scale', values.scale, '--password', PASSWORD], {
    cwd: root,
    env: environment,
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const loader = spawn(process.execPath, ['server/dist/main.mjs', 'load'], {
    cwd: root,
    env: { ...environment, DATABASE_URL: unfinished },
    stdio: [generator.stdout, 'ignore', 'inherit'],
  });
  // The loader reads the generator's output; this process holds no end of it, so only the exits tell.
  const codes = await Promise.all(
    [generator, loader].map((child) => new Promise((resolve) => child.once('exit', resolve))),
  );
  if (codes.every((code) => code === 0)) return renameSync(unfinished, database);
  rmSync(unfinished, { force: true });
  throw new Error('The demo data could not be made.');
}

function serve() {
  const server = spawn(process.execPath, ['server/dist/main.mjs', 'serve'], {
    cwd: root,
    env: environment,
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  server.stdout.once('data', () => {
    const shownHost = host === '0.0.0.0' || host === '::' ? '127.0.0.1' : host;
    say(welcome(`http://${shownHost}:${port}`));
  });
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill('SIGTERM'));
  server.on('close', (code) => process.exit(code ?? 0));
}

function welcome(address) {
  return `
Oilcan is ready:  ${address}

Sign in with one tap on the sign-in page, or by name and the password “${PASSWORD}”:
  Ines Okafor      technician, mechanical      Pavel Brandt   technician, electrical
  Mira Castell     technician, hydraulics      Jonas Reith    technician, rope and grips
  Tess Lindqvist   lead                        Arun Petros    storekeeper

Three things to try:
  1. As Ines, open “Gearbox output seal weeping oil”, read the hazards, start the clock, tick a step.
  2. Use the planned seal (Part), take the oil temperature (Reading), type 1:30 of time (Time).
  3. In another browser sign in as Tess: her Desk shows the job the moment Ines finishes it.

The API is described at ${address}/api/docs. Stop with Ctrl+C; the demo data is kept (--reset makes it anew).
`;
}

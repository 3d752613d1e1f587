import { existsSync } from 'node:fs';
import { cp } from 'node:fs/promises';
import { findAccount } from './accounts/accounts';
import { endAccount } from './accounts/end-account';
import { openDatabase } from './open-database';
import { DatabaseProblem } from './database/database-problem';
import { dialectFor } from './database/dialects';
import { buildServer } from './app';
import { machineClock } from './clock';
import { ConfigProblem, configFromEnvironment, type ServerConfig } from './config';
import { FileStore } from './files/file-store';
import { loadRows } from './load/load';

/** What whoever started it should know, beside what it was started for. */
function say(sentence: string): void {
  process.stderr.write(`${sentence}\n`);
}

const usage = 'Usage: main.mjs serve | load (JSON lines on standard input) | backup FILE | end-account NAME';

async function serve(config: ServerConfig): Promise<void> {
  const release = dialectFor(config.database).serveAlone(config.database);
  const database = await openDatabase(config.database, machineClock, { onUpgrade: say });
  const server = await buildServer(database, config, machineClock);
  const stop = async (): Promise<void> => {
    await server.close();
    await database.destroy();
    release();
    process.exit(0);
  };
  process.once('SIGTERM', () => void stop());
  process.once('SIGINT', () => void stop());
  await server.listen({ host: config.host, port: config.port });
  const address = server.server.address();
  const port = typeof address === 'object' && address !== null ? address.port : config.port;
  process.stdout.write(`Oilcan listens on http://${config.host}:${port}\n`);
}

async function load(config: ServerConfig): Promise<void> {
  const database = await openDatabase(config.database, machineClock, { onUpgrade: say });
  const rows = await loadRows(database, process.stdin, { files: new FileStore(config.filesRoot), clock: machineClock });
  await database.destroy();
  process.stdout.write(`${rows} rows loaded\n`);
}

async function run(command: string | undefined, file: string | undefined): Promise<void> {
  const config = configFromEnvironment(process.env);
  if (command === 'serve') return serve(config);
  if (command === 'load') return load(config);
  if (command === 'backup' && file !== undefined) {
    const database = await openDatabase(config.database, machineClock, { mustExist: true, asItIs: true });
    await dialectFor(config.database).backUp(database, file);
    if (existsSync(config.filesRoot)) await cp(config.filesRoot, `${file}-files`, { recursive: true });
    return database.destroy();
  }
  if (command === 'end-account' && file !== undefined) {
    const database = await openDatabase(config.database, machineClock, { mustExist: true });
    const account = await findAccount(database, file);
    if (account !== undefined) await endAccount(database, account.person);
    await database.destroy();
    if (account === undefined) throw new Error(`Nobody signs in as “${file}”. Nothing was changed.`);
    process.stdout.write(`${file} cannot sign in any more, and is signed out everywhere.\n`);
    return;
  }
  throw new Error(usage);
}

/** What went wrong at the start, in one sentence. */
function startSentence(error: unknown): string {
  const code = error instanceof Error && 'code' in error ? String(error.code) : '';
  const port = process.env['PORT'] ?? '4870';
  if (code === 'EADDRINUSE')
    return `Port ${port} is in use. Stop what runs there, or choose another: PORT=4871 npm run demo`;
  if (code === 'EACCES') return `Port ${port} may not be opened by this user. Choose one above 1023 with PORT=.`;
  if (error instanceof DatabaseProblem || error instanceof ConfigProblem) return error.message;
  const { database } = configFromEnvironment(process.env);
  const problem = dialectFor(database).problemWith(database, error);
  return problem instanceof Error ? problem.message : String(problem);
}

// What this program writes, its owner alone reads and writes.
process.umask(0o077);

run(process.argv[2], process.argv[3]).catch((error: unknown) => {
  process.stderr.write(`${startSentence(error)}\n`);
  process.exit(1);
});

import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import Database from 'better-sqlite3';

export const demoDatabase = '.oilcan/e2e/demo.sqlite';
export const demoFiles = '.oilcan/e2e/files';

/** The real server as a process of its own, on a copy of the demo data that is its own. */
export class DemoServer {
  readonly #folder = mkdtempSync(join(tmpdir(), 'oilcan-'));
  #process: ChildProcess | undefined;
  #port = 0;

  readonly #webRoot: string;

  constructor({ webRoot = 'app/dist' }: { readonly webRoot?: string } = {}) {
    this.#webRoot = webRoot;
    cpSync(demoDatabase, this.file);
    cpSync(demoFiles, join(this.#folder, 'files'), { recursive: true });
  }

  /** The database file, to look into while the server is not running. */
  get file(): string {
    return join(this.#folder, 'demo.sqlite');
  }

  /** The id of an open work order. */
  workOf(title: string): string {
    const database = new Database(this.file, { readonly: true });
    const bodies = database.prepare('SELECT body FROM work_orders WHERE ended IS NULL').pluck().all() as string[];
    database.close();
    const works = bodies.map((body) => JSON.parse(body) as { id: string; title: string });
    const work = works.find((each) => each.title === title);
    if (work === undefined) throw new Error(`There is no open work order “${title}”.`);
    return work.id;
  }

  /** The key of a label by which everybody may report. */
  reportLabel(): string {
    const database = new Database(this.file, { readonly: true });
    const key = database.prepare('SELECT id FROM report_labels LIMIT 1').pluck().get() as string;
    database.close();
    return key;
  }

  /** Every plan's work orders appear ten days before they are due. While the server is not running. */
  letPlansComeEarly(): void {
    const database = new Database(this.file);
    database.exec("UPDATE plans SET body = json_set(body, '$.leadDays', 10)");
    database.close();
  }

  get address(): string {
    return `http://127.0.0.1:${this.#port}`;
  }

  /** Starts, the second time on the port of the first. */
  async start(): Promise<void> {
    const started = spawn(process.execPath, ['server/dist/main.mjs', 'serve'], {
      env: {
        ...process.env,
        PORT: String(this.#port),
        DATABASE_URL: this.file,
        OILCAN_FILES: join(this.#folder, 'files'),
        OILCAN_OUTBOX: join(this.#folder, 'outbox'),
        OILCAN_WEB_ROOT: resolve(this.#webRoot),
        OILCAN_DEMO_PASSWORD: 'mountain',
        OILCAN_REQUESTS_PER_MINUTE: '100000',
      },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    this.#process = started;
    const [line] = (await once(started.stdout, 'data')) as [Buffer];
    this.#port = Number(/:(\d+)\s*$/.exec(line.toString())?.[1]);
  }

  async stop(signal: NodeJS.Signals = 'SIGTERM'): Promise<void> {
    const running = this.#process;
    if (running === undefined || running.exitCode !== null || running.signalCode !== null) return;
    const ended = once(running, 'exit');
    running.kill(signal);
    await ended;
  }

  async dispose(): Promise<void> {
    await this.stop('SIGKILL');
    rmSync(this.#folder, { recursive: true, force: true });
  }
}

import { execFileSync, spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';

const root = resolve(__dirname, '../..');
let folder: string;
beforeAll(() => void execFileSync(process.execPath, ['scripts/build-node.mjs'], { cwd: root }));
beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'oilcan-command-'));
});
afterEach(() => rm(folder, { recursive: true, force: true }));

/** What the command says as it ends, and with which code. */
function run(args: readonly string[], environment: Readonly<Record<string, string>> = {}, input = '') {
  const { status, stderr } = spawnSync(process.execPath, ['server/dist/main.mjs', ...args], {
    cwd: root,
    env: { PATH: process.env['PATH'], DATABASE_URL: join(folder, 'oilcan.sqlite'), ...environment },
    input,
    encoding: 'utf8',
  });
  return { status, said: stderr.trim() };
}

describe('the command', () => {
  it.each([
    ['PORT', ''],
    ['PORT', 'abc'],
    ['HOST', ' '],
    ['LOG_LEVEL', 'loud'],
    ['OILCAN_SECURE_COOKIE', '2'],
    ['OILCAN_TRUST_PROXY', 'x'],
    ['DATABASE_URL', ''],
    ['OILCAN_FILES', ''],
  ])('says in one sentence why it does not start with %s=%s', (name, value) => {
    const { status, said } = run(['serve'], { [name]: value });
    expect(status).toBe(1);
    expect(said).toMatch(new RegExp(`^${name} [^\\n]*\\.$`));
  });

  it('names the line that it cannot load', () => {
    const person = { id: 'ann', name: 'Ann', roles: [], siteIds: [], tradeId: '' };
    const lines = [JSON.stringify({ table: 'people', row: person }), '{"table": "people", ', ''].join('\n');
    expect(run(['load'], {}, lines)).toEqual({
      status: 1,
      said: expect.stringMatching(/^Line 2 is not JSON: [^\n]*$/) as string,
    });
  });

  it('backs up into a folder that is not there yet', () => {
    expect(run(['load']).status).toBe(0);
    const copy = join(folder, 'copies', 'of-today', 'oilcan.sqlite');
    expect(run(['backup', copy])).toEqual({ status: 0, said: '' });
    expect(existsSync(copy)).toBe(true);
    expect(run(['backup', copy]).said).toMatch(/^There is a file at .* already\./);
  });

  it('tells how it is used', () => {
    expect(run(['dance']).said).toMatch(/^Usage: /);
  });
});

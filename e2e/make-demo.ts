import { execFileSync } from 'node:child_process';
import { mkdirSync, rmSync } from 'node:fs';
import { dirname } from 'node:path';
import { demoDatabase, demoFiles } from './demo-server';

/** Makes the demo data once; every test starts from a copy of it. */
export default function makeDemo(): void {
  mkdirSync(dirname(demoDatabase), { recursive: true });
  for (const ending of ['', '-wal', '-shm']) rmSync(`${demoDatabase}${ending}`, { force: true });
  const rows = execFileSync(process.execPath, ['demo/dist/main.mjs', '--password', 'mountain'], { maxBuffer: 1 << 28 });
  execFileSync(process.execPath, ['server/dist/main.mjs', 'load'], {
    input: rows,
    env: { ...process.env, DATABASE_URL: demoDatabase, OILCAN_FILES: demoFiles },
  });
}

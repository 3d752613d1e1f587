import Database from 'better-sqlite3';
import { anOperation, aStep, put, smallWorks, workId, ann } from '@oilcan/core/testing';
import { PROTOCOL_VERSION, PUSH_LIMIT, type Change } from '@oilcan/core';
import { buildServer, defaultConfig, openDatabase, SqlRecords } from '@oilcan/server';
import { once } from 'node:events';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import { putAccount } from '../server/src/accounts/accounts';
import type { PhonesOrder } from './phones.mjs';
import { median, report } from './report.mjs';

const ROUNDS = 5;
const BATCHES = 60;
const PHONES = 4;

/**
 * Operations that the server applies in a second (real HTTP, batches of 50 from four phones at once, durable), against plain better-sqlite3
 * doing one durable single-row transaction for each, on the same disk in the same run.
 */
export async function benchOperations(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'oilcan-bench-'));
  const reference: number[] = [];
  const ours: number[] = [];
  for (let round = 0; round < ROUNDS; round += 1) {
    reference.push(plainRate(join(folder, `plain-${round}.sqlite`)));
    ours.push(await serverRate(join(folder, `server-${round}.sqlite`)));
  }
  rmSync(folder, { recursive: true, force: true });
  report(
    'operations applied',
    median(ours),
    'plain durable one-row transactions',
    median(reference),
    '1/s',
    'aim: 1.0 or more',
  );
}

function plainRate(file: string): number {
  const database = new Database(file);
  database.pragma('journal_mode = WAL');
  database.pragma('synchronous = FULL');
  database.exec('CREATE TABLE operations (id TEXT PRIMARY KEY, body TEXT NOT NULL)');
  const insert = database.prepare('INSERT INTO operations VALUES (?, ?)');
  const count = BATCHES * PUSH_LIMIT;
  const bodies = Array.from({ length: count }, (_, index) => JSON.stringify(operation(index)));
  const started = performance.now();
  for (const [index, body] of bodies.entries()) insert.run(String(index), body);
  const seconds = (performance.now() - started) / 1000;
  database.close();
  return count / seconds;
}

/** What a technician sends over a shift: mostly steps, some notes, readings and time. */
function operation(index: number) {
  const at = new Date(Date.now() - 60_000).toISOString();
  const onWork = { workOrderId: workId };
  switch (index % 10) {
    case 7:
      return anOperation('note.add', { ...onWork, text: `Grease was black at nipple ${index}.` }, { at });
    case 8:
      return anOperation('reading.add', { ...onWork, pointId: 'point' as never, value: 60 + (index % 9) }, { at });
    case 9:
      return anOperation(
        'labor.add',
        {
          ...onWork,
          personId: ann.id,
          startedAt: new Date(Date.now() - 7_200_000).toISOString() as never,
          minutes: 15,
          timeType: 'regular',
        },
        { at },
      );
    default:
      return anOperation(
        'step.answer',
        { ...onWork, stepId: aStep((index % 60) + 1).id, answer: index % 2 === 0 ? { type: 'tick' } : null },
        { at },
      );
  }
}

async function serverRate(file: string): Promise<number> {
  const database = await openDatabase(file);
  const rows: Change[] = [...smallWorks(), ...Array.from({ length: 60 }, (_, index) => put('steps', aStep(index + 1)))];
  await database.transaction((transaction) => new SqlRecords(transaction).write(rows));
  await putAccount(database, ann.id, 'Ann', 'x');
  const server = await buildServer(database, {
    ...defaultConfig,
    webRoot: null,
    logLevel: 'silent',
    requestsPerMinute: 1e9,
  });
  const address = await server.listen({ port: 0, host: '127.0.0.1' });
  const signIn = await fetch(`${address}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ name: 'Ann', password: 'x' }),
  });
  const cookie = signIn.headers.get('set-cookie')?.split(';')[0] ?? '';
  const batches = Array.from({ length: BATCHES }, (_, batch) =>
    JSON.stringify({
      protocol: PROTOCOL_VERSION,
      operations: Array.from({ length: PUSH_LIMIT }, (__, index) => operation(batch * PUSH_LIMIT + index)),
    }),
  );
  const order: PhonesOrder = { address, cookie, bodies: batches, phones: PHONES };
  const worker = new Worker(new URL('./bench-phones.mjs', import.meta.url), { workerData: order });
  const [seconds] = (await once(worker, 'message')) as [number];
  await server.close();
  await database.destroy();
  return (BATCHES * PUSH_LIMIT) / seconds;
}

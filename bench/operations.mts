import { once } from 'node:events';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import { asId, type PersonId, type StepId, type WorkOrderId } from '@oilcan/core/kernel';
import type { Change } from '@oilcan/core/records';
import { PUSH_LIMIT } from '@oilcan/core/sync';
import { aPerson, aStep, aWorkOrder, put, smallWorks } from '@oilcan/core/testing';
import type { CrowdWork, PhonesOrder } from './phones.mjs';
import { plainRate } from './plain-rate.mjs';
import { median, percentile, report } from './report.mjs';
import { shiftOperation, STEPS } from './shift-operations.mjs';
import { pushBody, startServer } from './small-server.mjs';

const ROUNDS = 5;
const BATCHES = 60;
const PHONES = 4;
const PENDING = 5_000;
const CROWD = 200;
const CROWD_SECONDS = Number(process.env['OILCAN_BENCH_SECONDS'] ?? 60);
const REFERENCE = 'plain durable one-row transactions';

const steps: Change[] = Array.from({ length: STEPS }, (_, index) => put('steps', aStep(index + 1)));

/** What phones do in a thread of their own. */
async function inThread<Result>(order: PhonesOrder): Promise<Result> {
  const worker = new Worker(new URL('./bench-phones.mjs', import.meta.url), { workerData: order });
  const [result] = (await once(worker, 'message')) as [Result];
  return result;
}

async function inFolder(work: (folder: string) => Promise<void>): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'oilcan-bench-'));
  await work(folder);
  rmSync(folder, { recursive: true, force: true });
}

function referenceRate(file: string, count: number): number {
  return plainRate(
    file,
    Array.from({ length: count }, (_, index) => JSON.stringify(shiftOperation(index))),
  );
}

/**
 * Operations that the server applies in a second (real HTTP, batches of 50 from four phones at once, durable), against
 * plain better-sqlite3 doing one durable single-row transaction for each, on the same disk in the same run.
 */
export function benchOperations(): Promise<void> {
  return inFolder(async (folder) => {
    const reference: number[] = [];
    const ours: number[] = [];
    for (let round = 0; round < ROUNDS; round += 1) {
      reference.push(referenceRate(join(folder, `plain-${round}.sqlite`), BATCHES * PUSH_LIMIT));
      const { address, cookie, close } = await startServer(join(folder, `server-${round}.sqlite`), [
        ...smallWorks(),
        ...steps,
      ]);
      const bodies = Array.from({ length: BATCHES }, (_, batch) =>
        pushBody(Array.from({ length: PUSH_LIMIT }, (__, index) => shiftOperation(batch * PUSH_LIMIT + index))),
      );
      const seconds = await inThread<number>({ what: 'send', address, cookie, bodies, phones: PHONES });
      ours.push((BATCHES * PUSH_LIMIT) / seconds);
      await close();
    }
    report('operations applied', median(ours), REFERENCE, median(reference), '1/s', 'aim: 1.0 or more');
  });
}

/** A phone that was without signal for long: its own code sends 5,000 operations over loopback and hears all of it back. */
export function benchDrain(): Promise<void> {
  return inFolder(async (folder) => {
    const reference = referenceRate(join(folder, 'plain.sqlite'), PENDING);
    const { address, cookie, close } = await startServer(join(folder, 'server.sqlite'), [...smallWorks(), ...steps]);
    const seconds = await inThread<number>({ what: 'drain', address, cookie, operations: PENDING });
    await close();
    const took = `${seconds.toFixed(1)} s for ${PENDING}`;
    report(`draining a phone (${took})`, PENDING / seconds, REFERENCE, reference, '1/s', 'aim: 0.15 or more');
  });
}

/** 200 phones without a pause between their pushes of 5 operations and their pulls. */
export function benchCrowd(): Promise<void> {
  return inFolder(async (folder) => {
    const reference = referenceRate(join(folder, 'plain.sqlite'), 5_000);
    const crowd = Array.from({ length: CROWD }, (_, index) => ({ id: `w-${index + 2}`, person: `p-${index}` }));
    const rows = crowd.flatMap(({ id, person }): Change[] => {
      const workOrderId = asId<WorkOrderId>(id);
      const personId = asId<PersonId>(person);
      const own = Array.from({ length: STEPS }, (_, index) => aStep(index + 1)).map((step) =>
        put('steps', { ...step, id: asId<StepId>(`${id}-${step.id}`), workOrderId }),
      );
      const work = aWorkOrder({ id: workOrderId, number: id.toUpperCase(), personIds: [personId] });
      return [put('people', aPerson({ id: personId, name: person })), put('workOrders', work), ...own];
    });
    const server = await startServer(join(folder, 'server.sqlite'), [...smallWorks(), ...rows]);
    const { address, cookie, close } = server;
    const works: CrowdWork[] = [];
    for (const { id, person } of crowd) {
      works.push({ work: id, person, cookie: await server.sessionOf(asId<PersonId>(person)) });
    }
    const order = { what: 'crowd', address, cookie, phones: CROWD, seconds: CROWD_SECONDS, works } as const;
    const pushes = await inThread<number[]>(order);
    await close();
    const [p50, p95, p99] = [50, 95, 99].map((share) => percentile(pushes, share).toFixed(0));
    report(
      `${CROWD} phones for ${CROWD_SECONDS} s, a push 50th/95th/99th percentile ${p50}/${p95}/${p99} ms`,
      (pushes.length * 5) / CROWD_SECONDS,
      REFERENCE,
      reference,
      '1/s',
      'a push and a pull for every 5 operations',
    );
  });
}

import { nextOn } from '@oilcan/core/finishing/plans';
import * as allOperations from '@oilcan/core/registry/operations';
import { parentPort, workerData } from 'node:worker_threads';
import { instantFromMillis, type OperationId, type PersonId, type WorkOrderId } from '@oilcan/core/kernel';
import { PROTOCOL, type PullAnswer } from '@oilcan/core/sync';
import { ann, newOperationId } from '@oilcan/core/testing';
import { MemoryDatabase } from '../app/src/data/database/memory-database';
import { noOtherWindows } from '../app/src/data/database/other-windows';
import { Phone } from '../app/src/data/phone/phone';
import { Line } from './http.mjs';
import { shiftOperation } from './shift-operations.mjs';
import { pushBody } from './small-server.mjs';

/** What a thread of phones is told, so that the server is not slowed by its own clients. */
export type PhonesOrder = { readonly address: string; readonly cookie: string } & (
  | { readonly what: 'send'; readonly bodies: readonly string[]; readonly phones: number }
  | { readonly what: 'drain'; readonly operations: number }
  | { readonly what: 'crowd'; readonly phones: number; readonly seconds: number; readonly works: readonly CrowdWork[] }
);

/** One phone's work order, and the session of its person. */
export interface CrowdWork {
  readonly work: string;
  readonly person: string;
  readonly cookie: string;
}

/** Sends every body, some at once; gives the seconds. */
async function send(line: Line, bodies: readonly string[], phones: number): Promise<number> {
  const waiting = [...bodies];
  const started = performance.now();
  const phone = async (): Promise<void> => {
    for (let body = waiting.shift(); body !== undefined; body = waiting.shift()) {
      await line.ask('POST', '/api/operations', body);
    }
  };
  await Promise.all(Array.from({ length: phones }, phone));
  return (performance.now() - started) / 1000;
}

/** The phone's own code with so many pending operations; gives the seconds until it answers for nothing. */
async function drain(line: Line, operations: number): Promise<number> {
  const phone = new Phone({
    database: new MemoryDatabase(),
    server: {
      push: async (sent) => JSON.parse(await line.ask('POST', '/api/operations', pushBody(sent))),
      pull: async ({ since, isFilling }) =>
        JSON.parse(await line.ask('GET', `/api/sync?since=${since}&filling=${isFilling}&protocol=${PROTOCOL.newest}`)),
      work: () => Promise.reject(new Error('There is nothing to look up here.')),
      received: () => Promise.reject(new Error('There are no files here.')),
      sendPiece: () => Promise.reject(new Error('There are no files here.')),
    },
    newDevice: 'bench',
    clocks: { wall: () => Date.now(), running: () => performance.now() },
    deviceTime: instantFromMillis,
    newOperationId: (): OperationId => newOperationId(),
    others: noOtherWindows,
    rules: () => Promise.resolve(allOperations),
    laterTables: () => import('../app/src/data/phone/later-tables'),
    planDates: () => nextOn,
    onChange: () => undefined,
    onUnforeseen: (error) => {
      throw error;
    },
  });
  await phone.open();
  await phone.signIn(ann);
  await phone.synchronize();
  for (let index = 0; index < operations; index += 1) {
    const { name, args } = shiftOperation(index);
    await phone.perform(name as 'note.add', args as never);
  }
  if (phone.kept.length !== operations) throw new Error(`Only ${phone.kept.length} operations were kept.`);
  const started = performance.now();
  while (phone.kept.length > 0) await phone.synchronize();
  return (performance.now() - started) / 1000;
}

/** Phones that push a few operations and pull what is new, again and again; gives the milliseconds of every push. */
async function crowd(line: Line, phones: number, seconds: number, works: readonly CrowdWork[]): Promise<number[]> {
  const pushes: number[] = [];
  let made = 0;
  let end = 0;
  const pull = async (since: number, cookie: string): Promise<PullAnswer> => {
    const path = `/api/sync?since=${since}&filling=${since === 0}&protocol=${PROTOCOL.newest}`;
    return JSON.parse(await line.ask('GET', path, '', cookie)) as PullAnswer;
  };
  const phone = async ({ work, person, cookie }: CrowdWork, since: number): Promise<void> => {
    while (performance.now() < end) {
      const operations = Array.from({ length: 5 }, () => ({
        ...shiftOperation((made += 1), work as WorkOrderId, `${work}-`),
        by: person as PersonId,
      }));
      const started = performance.now();
      await line.ask('POST', '/api/operations', pushBody(operations), cookie);
      pushes.push(performance.now() - started);
      since = (await pull(since, cookie)).revision;
    }
  };
  // Every phone has its rows before the time begins.
  const filled: number[] = [];
  for (const { cookie } of works) {
    let answer = await pull(0, cookie);
    while (answer.hasMore) answer = await pull(answer.revision, cookie);
    filled.push(answer.revision);
  }
  end = performance.now() + seconds * 1000;
  await Promise.all(works.slice(0, phones).map((each, index) => phone(each, filled[index] ?? 0)));
  return pushes;
}

if (parentPort !== null) {
  const order = workerData as PhonesOrder;
  const line = new Line(order.address, order.cookie, order.what === 'drain' ? 2 : order.phones);
  const result =
    order.what === 'send'
      ? await send(line, order.bodies, order.phones)
      : order.what === 'drain'
        ? await drain(line, order.operations)
        : await crowd(line, order.phones, order.seconds, order.works);
  line.close();
  parentPort.postMessage(result);
}

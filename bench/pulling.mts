import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Change } from '@oilcan/core/records';
import { PROTOCOL } from '@oilcan/core/sync';
import { aCrew, anOperation, aPerson, aStep, aWorkOrder, put, smallWorks, workId } from '@oilcan/core/testing';
import { asId, type CrewId, type PersonId, type WorkOrderId } from '@oilcan/core/kernel';
import { Line } from './http.mjs';
import { median, report } from './report.mjs';
import { pushBody, startServer } from './small-server.mjs';

const QUESTIONS = 400;
const PEOPLE = 200;
const CREWS = 40;
const OPEN = 1_000;

/** What phones ask most often of a works with 200 people and 1,000 open jobs: the one row that somebody changed, and nothing. */
export async function benchPulling(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'oilcan-bench-'));
  const people = Array.from({ length: PEOPLE }, (_, index) => asId<PersonId>(`p-${index}`));
  const rows: Change[] = [
    ...smallWorks(),
    ...[1, 2].map((position) => put('steps', aStep(position))),
    ...people.map((id) => put('people', aPerson({ id, name: id }))),
    ...Array.from({ length: CREWS }, (_, index) => {
      const id = asId<CrewId>(`crew-${index}`);
      const memberIds = people.filter((__, at) => at % CREWS === index);
      return put('crews', aCrew({ id, name: id, memberIds }));
    }),
    ...Array.from({ length: OPEN }, (_, index) => {
      const id = asId<WorkOrderId>(`open-${index}`);
      return put('workOrders', aWorkOrder({ id, number: `W-${index + 1_000}`, personIds: [people[index % PEOPLE]!] }));
    }),
  ];
  const { address, cookie, close } = await startServer(join(folder, 'server.sqlite'), rows);
  const line = new Line(address, cookie, 1);
  const pull = async (
    since: number,
    filling = false,
  ): Promise<{ revision: number; hasMore: boolean; changes: unknown[] }> =>
    JSON.parse(await line.ask('GET', `/api/sync?since=${since}&filling=${filling}&protocol=${PROTOCOL.newest}`));
  let { revision } = await pull(0, true);
  const one: number[] = [];
  const nothing: number[] = [];
  const pushed: number[] = [];
  const who: number[] = [];
  const timed = async (into: number[], ask: () => Promise<unknown>): Promise<void> => {
    const started = performance.now();
    await ask();
    into.push(performance.now() - started);
  };
  for (let index = 0; index < QUESTIONS; index += 1) {
    const note = anOperation('note.add', { workOrderId: workId, text: 'Dry' });
    await timed(pushed, () => line.ask('POST', '/api/operations', pushBody([note])));
    await timed(one, async () => ({ revision } = await pull(revision)));
    await timed(nothing, () => pull(revision));
    await timed(who, () => line.ask('GET', '/api/session'));
  }
  line.close();
  await close();
  rmSync(folder, { recursive: true });
  const reference = 'asking who I am';
  report('a push of one note', median(pushed), 'asking who I am', median(who), 'ms', 'aim: 6.0 or less');
  report('a pull of one changed row', median(one), reference, median(who), 'ms', 'aim: 3.0 or less');
  report('a pull of nothing new', median(nothing), reference, median(who), 'ms', 'aim: 2.0 or less');
}

import { asId, type WorkOrderId } from '@oilcan/core/kernel';
import type { Operation } from '@oilcan/core/operations';
import type { PullAnswer } from '@oilcan/core/sync';
import { anOperation, ann, aWorkOrder, bob, lea, put, smallWorks, workId } from '@oilcan/core/testing';
import { dialectOf } from './database/dialects';
import { isOnPostgres } from './testing/fresh-database';
import { codesOf, startBeside, startTestServer, type TestServer } from './testing/test-server';

/** Several servers share a database where that is PostgreSQL. */
const together = isOnPostgres ? describe : describe.skip;

const JOBS = 40;
/** More than the lines to the database that a server holds. */
const TRIES = 30;
const jobs = Array.from({ length: JOBS }, (_, index) => asId<WorkOrderId>(`job-${index}`));

let one: TestServer;
let other: TestServer;
beforeEach(async () => {
  if (!isOnPostgres) return;
  const given = jobs.map((id) => put('workOrders', aWorkOrder({ id, number: id, personIds: [ann.id, bob.id] })));
  one = await startTestServer([...smallWorks(), ...given]);
  other = await startBeside(one);
});
afterEach(async () => {
  if (!isOnPostgres) return;
  await other.close();
  await one.close();
});

const note = (workOrderId: WorkOrderId = workId, by = lea.id) =>
  anOperation('note.add', { workOrderId, text: 'Dry' }, { by });

interface Listening {
  /** The next of what is written on the line; null once it has ended. */
  readonly next: () => Promise<string | null>;
}

async function listenAt(works: TestServer, cookie: string): Promise<Listening> {
  const address = await works.server.listen({ port: 0, host: '127.0.0.1' });
  const { body } = await fetch(`${address}/api/news`, { headers: { cookie } });
  const reader = body?.getReader();
  const next = async (): Promise<string | null> => {
    const read = await reader?.read();
    return read?.value === undefined ? null : new TextDecoder().decode(read.value);
  };
  expect(await next()).toContain('retry');
  return { next };
}

/** Sends as a phone does: again while the server is busy, at most once for each line that may be broken. */
async function pushUntilTaken(works: TestServer, cookie: string, operation: Operation): Promise<string[]> {
  let answer = await works.push(cookie, [operation]);
  for (let tries = 0; answer.statusCode === 503 && tries < TRIES; tries += 1)
    answer = await works.push(cookie, [operation]);
  return codesOf(answer);
}

together('two servers on one database', () => {
  it('tell the phones of both what happens at either, and end their lines with the session', async () => {
    const cookie = await other.signIn(lea);
    const { next } = await listenAt(other, cookie);
    expect(codesOf(await one.push(await one.signIn(ann), [note(workId, ann.id)]))).toEqual(['accepted']);
    expect(await next()).toMatch(/^event: news\ndata: \d+/);
    await one.ask(cookie, { method: 'DELETE', url: '/api/session' });
    expect(await next()).toBeNull();
  });

  it('know an operation that comes to both, and number each thing once', async () => {
    const [atOne, atOther] = [await one.signIn(lea), await other.signIn(lea)];
    const twice = note();
    const answers = await Promise.all([one.push(atOne, [twice]), other.push(atOther, [twice])]);
    expect(answers.map(codesOf)).toEqual([['accepted'], ['accepted']]);
    expect(await one.database('entries').where('work_order', workId)).toHaveLength(1);
  });

  it('give a phone that asks either of them in turn all that happened, in its order', async () => {
    const cookies = { one: await one.signIn(lea), other: await other.signIn(lea) };
    const pushing = jobs.map((id, index) =>
      index % 2 === 0 ? one.push(cookies.one, [note(id), note(id)]) : other.push(cookies.other, [note(id), note(id)]),
    );
    const has = new Map<string, string>();
    const told: { readonly revision: number; readonly entries: ReadonlySet<string> }[] = [];
    let since = 0;
    const pullAt = async (works: TestServer, cookie: string): Promise<PullAnswer> => {
      const answer = await works.pull(cookie, since);
      for (const { table, id, row } of answer.changes) if (table === 'entries' && row !== null) has.set(id, table);
      since = answer.revision;
      told.push({ revision: since, entries: new Set(has.keys()) });
      return answer;
    };
    let isOver = false;
    const all = Promise.all(pushing).then(() => (isOver = true));
    while (!isOver) {
      await pullAt(one, cookies.one);
      await pullAt(other, cookies.other);
    }
    await all;
    await pullAt(other, cookies.other);
    expect(has.size).toBe(2 * JOBS);
    // Whoever was told that they know up to a revision had all that was written by then.
    const written: { id: string; revision: number }[] = await one.database('entries').select('id', 'revision');
    const passedOver = told.flatMap(({ revision, entries }) =>
      written.filter((entry) => entry.revision <= revision && !entries.has(entry.id)),
    );
    expect(passedOver).toEqual([]);
  });

  it('count wrong passwords together', async () => {
    const wrong = (works: TestServer) =>
      works.ask(null, { method: 'POST', url: '/api/session', payload: { name: bob.name, password: 'wrong' } });
    const codes: number[] = [];
    for (let tried = 0; tried < 4; tried += 1)
      for (const works of [one, other]) codes.push((await wrong(works)).statusCode);
    expect(codes.slice(0, 4)).toEqual([401, 401, 401, 401]);
    expect(codes.at(-1)).toBe(429);
  });

  it('do what comes with time in one place at a time', async () => {
    let running = 0;
    const done = await Promise.all(
      [one, other, one, other].map(({ database }) =>
        dialectOf(database).unlessElsewhere(database, 'mails', async () => {
          running += 1;
          await new Promise((resolve) => setTimeout(resolve, 200));
          expect(running).toBe(1);
          running -= 1;
        }),
      ),
    );
    expect(done.filter(Boolean)).toHaveLength(1);
  });

  it('go on when PostgreSQL breaks every line, and lose nothing that was accepted', async () => {
    const cookies = [await one.signIn(lea), await other.signIn(lea)] as const;
    const breaking = async (): Promise<void> => {
      await one.database.raw(
        `SELECT pg_terminate_backend(pid) FROM pg_stat_activity
          WHERE datname = current_database() AND pid <> pg_backend_pid()`,
      );
    };
    const accepted: string[] = [];
    for (let round = 0; round < 5; round += 1) {
      const sent = jobs.slice(0, 10).map((id) => note(id));
      const pushing = sent.map((each, index) =>
        index % 2 === 0 ? one.push(cookies[0], [each]) : other.push(cookies[1], [each]),
      );
      await breaking();
      const answers = await Promise.all(pushing);
      for (const [index, answer] of answers.entries()) {
        if (answer.statusCode === 200) accepted.push(sent[index]?.id ?? '');
        // A phone tries again: it is told that the server is busy, not that its operation is bad.
        else expect([answer.statusCode, answer.json<{ code: string }>().code]).toEqual([503, 'busy']);
      }
      // A line may be taken for a whole one until its end is heard of: then the server is busy once more.
      for (const each of sent) expect(await pushUntilTaken(one, cookies[0], each)).toEqual(['accepted']);
    }
    const entries: string[] = await one.database('entries').pluck('id');
    expect(entries).toHaveLength(50);
    expect(accepted.every((id) => entries.some((entry) => entry.startsWith(id)))).toBe(true);
  });
});

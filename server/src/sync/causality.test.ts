import { ann, anOperation, bob, lea, newOperationId, smallWorks, workId } from '@oilcan/core/testing';
import { PROTOCOL, type PullAnswer, type PushAnswer } from '@oilcan/core/sync';
import { startTestServer, type TestServer } from '../testing/test-server';

let works: TestServer;
beforeEach(async () => {
  works = await startTestServer(smallWorks({ personIds: [ann.id, bob.id] }));
});
afterEach(() => works.close());

const notes = (count: number, by = ann.id) =>
  Array.from({ length: count }, (_, index) =>
    anOperation('note.add', { workOrderId: workId, text: `Note ${index}` }, { id: newOperationId(), by }),
  );

describe('what a phone knows under load', () => {
  it('is what its rows hold, however many pushes wait when it asks', async () => {
    const [anns, leas, bobs] = [await works.signIn(ann), await works.signIn(lea), await works.signIn(bob)];
    await works.server.listen({ port: 0, host: '127.0.0.1' });
    const { port } = works.server.server.address() as { port: number };
    const address = `http://127.0.0.1:${port}/api`;
    const send = async (cookie: string, operations: readonly unknown[]): Promise<PushAnswer> => {
      const body = JSON.stringify({ protocol: PROTOCOL.newest, operations });
      const headers = { 'content-type': 'application/json', cookie };
      return (await fetch(`${address}/operations`, { method: 'POST', headers, body })).json() as Promise<PushAnswer>;
    };
    const ask = async (): Promise<PullAnswer> => {
      const url = `${address}/sync?since=0&filling=true&protocol=${PROTOCOL.newest}`;
      return (await fetch(url, { headers: { cookie: bobs } })).json() as Promise<PullAnswer>;
    };
    const pushes = Array.from({ length: 24 }, () => send(anns, notes(40)));
    const dropped = send(leas, [
      anOperation('work.drop', { workOrderId: workId, reason: 'Not needed' }, { by: lea.id }),
    ]);
    const more = Array.from({ length: 24 }, () => send(anns, notes(40)));
    const pulls = await Promise.all(Array.from({ length: 24 }, ask));
    await Promise.all([...pushes, dropped, ...more]);

    const last = (await ask()).changes.find(({ id }) => id === workId)?.row;
    const droppedAt = last !== undefined && last !== null && 'lastTransition' in last ? last.lastTransition?.since : '';
    const unseen = pulls.filter(({ changes }) =>
      changes.some(({ id, row }) => id === workId && row !== null && 'state' in row && row.state !== 'dropped'),
    );
    expect(unseen.length).toBeGreaterThan(0);
    for (const { now } of unseen) expect([now, now <= (droppedAt ?? '')]).toEqual([now, true]);

    const refused = [];
    for (const { now } of unseen) {
      const note = { ...notes(1, bob.id)[0], knownUntil: now };
      refused.push(...(await send(bobs, [note])).outcomes.filter(({ outcome }) => !outcome.ok));
    }
    expect(refused).toEqual([]);
  });
});

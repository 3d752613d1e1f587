import { anOperation, ann, bob, lea, workId } from '@oilcan/core/testing';
import { statementsOf } from '../testing/statements';
import { startTestServer, type TestServer } from '../testing/test-server';

let works: TestServer;
let cookie: string;
beforeEach(async () => {
  works = await startTestServer();
  cookie = await works.signIn(ann);
});
afterEach(() => works.close());

const note = () => [anOperation('note.add', { workOrderId: workId, text: 'Dry' }, { by: lea.id })];

describe('what a pull asks of the database', () => {
  it('is at most six statements for one changed row, with who asks', async () => {
    const lead = await works.signIn(lea);
    await works.push(lead, note());
    const { revision } = await works.pull(cookie);
    await works.push(lead, note());
    const { result, statements } = await statementsOf(works.database, () => works.pull(cookie, revision));
    expect(result.changes).toHaveLength(1);
    expect(statements.length).toBeLessThanOrEqual(6);
  });

  it('reads people, crews and settings once, whoever pulls or pushes, until one of them changes', async () => {
    const lead = await works.signIn(lea);
    await works.pull(cookie);
    const reads = async (ask: () => Promise<unknown>): Promise<readonly string[]> =>
      (await statementsOf(works.database, ask)).statements.filter((text) =>
        /FROM `?(people|crews|settings)`?( ORDER BY id)?$/.test(text),
      );
    expect(await reads(() => works.push(lead, note()))).toEqual([]);
    expect(await reads(() => works.pull(cookie))).toEqual([]);
    await works.push(lead, [anOperation('person.leave', { personId: bob.id }, { by: lea.id })]);
    expect(await reads(() => works.pull(cookie))).toHaveLength(3);
    expect(await reads(() => works.push(lead, note()))).toEqual([]);
  });

  it('is three where nothing is new', async () => {
    const { revision } = await works.pull(cookie);
    const { statements } = await statementsOf(works.database, () => works.pull(cookie, revision));
    expect(statements.length).toBeLessThanOrEqual(3);
  });
});

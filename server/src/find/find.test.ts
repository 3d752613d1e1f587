import { asId, type WorkOrderId } from '@oilcan/core/kernel';
import type { FoundWork } from '@oilcan/core/overview/find';
import {
  anAsset,
  ann,
  anOperation,
  aSite,
  aWorkOrder,
  noon,
  otherSite,
  put,
  smallWorks,
  workId,
} from '@oilcan/core/testing';
import { SqlRecords } from '../database/sql-records';
import { noteDerived } from '../derived';
import { startTestServer, type TestServer } from '../testing/test-server';

const job = (number: string, given: Parameters<typeof aWorkOrder>[0] = {}) =>
  put('workOrders', aWorkOrder({ id: asId<WorkOrderId>(number.toLowerCase()), number, ...given }));
const ended = { state: 'accepted', finishedAt: noon, closedAt: noon } as const;

let works: TestServer;
let cookie: string;
beforeEach(async () => {
  works = await startTestServer([
    ...smallWorks(),
    put('sites', aSite({ id: otherSite, name: 'Valley' })),
    job('W-2500', { title: 'Knock at tower 5', reason: 'Heard by a guest', ...ended }),
    job('W-2501', { title: 'Knock at tower 50', reason: 'It knocks', ...ended }),
    job('W-2502', { title: 'Tower 5 elsewhere', siteId: otherSite }),
  ]);
  cookie = await works.signIn(ann);
});
afterEach(() => works.close());

const find = async (words: string): Promise<string[]> => {
  const answer = await works.ask(cookie, { url: `/api/find?words=${encodeURIComponent(words)}` });
  return answer.json<{ works: FoundWork[] }>().works.map(({ number }) => number);
};

describe('work that is looked for on the server', () => {
  it('is found by its number and any word, ended too, the likeliest first', async () => {
    expect(await find('W-2500')).toEqual(['W-2500']);
    expect(await find('2501')).toEqual(['W-2501']);
    expect(await find('tower 5')).toEqual(['W-2500', 'W-2501']);
    expect(await find('guest gearbox')).toEqual(['W-2500']);
    for (const typed of ['nothing like it', '  ', '---']) expect(await find(typed)).toEqual([]);
  });

  it('is of the sites of the person only', async () => {
    expect(await find('elsewhere')).toEqual([]);
  });

  it('is found by what its machine is called now', async () => {
    await works.database.transaction(async (transaction) => {
      const renamed = [put('assets', anAsset({ name: 'Bull wheel' }))];
      await new SqlRecords(transaction).write(renamed);
      await noteDerived(transaction, renamed);
    });
    expect(await find('bull wheel knock')).toEqual(['W-2501', 'W-2500']);
    expect(await find('gearbox')).toEqual([]);
  });

  it('is found as soon as it is pushed', async () => {
    await works.push(cookie, [anOperation('work.acknowledge-hazards', { workOrderId: workId, hazardIds: [] })]);
    await works.push(cookie, [anOperation('clock.start', { workOrderId: workId })]);
    expect(await find('W-1')).toEqual(['W-1']);
  });

  it.each(['', 'x'.repeat(101)])('refuses “%s” with a sentence', async (words) => {
    const answer = await works.ask(cookie, { url: `/api/find?words=${encodeURIComponent(words)}` });
    expect(answer.statusCode).toBe(400);
  });

  it.each(['"', "' OR 1", 'NEAR(a b)', 'a* OR b', '\u0000'])(
    'takes “%s” as words, not as a question',
    async (words) => {
      const answer = await works.ask(cookie, { url: `/api/find?words=${encodeURIComponent(`seal ${words}`)}` });
      expect(answer.statusCode).toBe(200);
    },
  );

  it('is told only to whoever is signed in', async () => {
    expect((await works.ask('', { url: '/api/find?words=seal' })).statusCode).toBe(401);
  });
});

import { NUMBERS_AHEAD } from '@oilcan/core/plant/numbers';
import { PROTOCOL, type PullAnswer, type PushAnswer } from '@oilcan/core/sync';
import { anOperation, ann, aRaise, aWorkOrder, bob, put, smallWorks } from '@oilcan/core/testing';
import { asId, type WorkOrderId } from '@oilcan/core/kernel';
import { codesOf, startTestServer, type TestServer } from '../testing/test-server';

let works: TestServer;
let cookie: string;
beforeEach(async () => {
  works = await startTestServer(smallWorks());
  cookie = await works.signIn(ann);
});
afterEach(() => works.close());

const reservedFor = async (device: string, by = cookie): Promise<readonly string[]> => {
  const url = `/api/sync?since=0&filling=true&protocol=${PROTOCOL.newest}&device=${device}`;
  return (await works.ask(by, { url })).json<PullAnswer>().numbers?.workOrder ?? [];
};

const raise = (number: string | null, device: string) => anOperation('work.raise', aRaise({ number }), { device });
const numberOf = async (id: string): Promise<string> =>
  JSON.parse((await works.database('work_orders').where({ id }).first('body')).body as string).number as string;

describe('numbers that are lent ahead', () => {
  it('are the same however often a phone asks, and nobody else’s', async () => {
    const first = await reservedFor('a');
    expect(first).toHaveLength(NUMBERS_AHEAD);
    expect(await reservedFor('a')).toEqual(first);
    const others = await reservedFor('b', await works.signIn(bob));
    expect(others.filter((number) => first.includes(number))).toEqual([]);
  });

  it('pass over those that work has already', async () => {
    await works.close();
    works = await startTestServer([
      ...smallWorks(),
      put('workOrders', aWorkOrder({ id: asId<WorkOrderId>('w-3'), number: 'W-3' })),
    ]);
    cookie = await works.signIn(ann);
    expect((await reservedFor('a')).slice(0, 3)).toEqual(['W-2', 'W-4', 'W-5']);
  });

  it('are what work is called that was raised with them, and are lent no more', async () => {
    const [number = ''] = await reservedFor('a');
    const operation = raise(number, 'a');
    expect(codesOf(await works.push(cookie, [operation]))).toEqual(['accepted']);
    expect([await numberOf(operation.id), (await reservedFor('a')).includes(number)]).toEqual([number, false]);
    const again = raise(number, 'a');
    const answer = await works.push(cookie, [operation, again]);
    expect(codesOf(answer)).toEqual(['accepted', 'accepted']);
    expect(answer.json<PushAnswer>().renumbered).toEqual([again.id]);
    expect(await numberOf(again.id)).not.toBe(number);
  });

  it('are taken from no other device, and from nobody’s invention', async () => {
    const [number = ''] = await reservedFor('a');
    const [others, invented, own] = [raise(number, 'b'), raise('W-900', 'a'), raise(number, 'a')];
    const answer = await works.push(cookie, [others, invented, own]);
    // Nothing of it is refused: what has no number of its own is given one.
    expect(codesOf(answer)).toEqual(['accepted', 'accepted', 'accepted']);
    expect(answer.json<PushAnswer>().renumbered).toEqual([others.id, invented.id]);
    const numbers = [await numberOf(others.id), await numberOf(invented.id), await numberOf(own.id)];
    expect(numbers[2]).toBe(number);
    expect(new Set([...numbers, 'W-900']).size).toBe(4);
  });

  it('are given on arrival to what comes without one, which is then final', async () => {
    const lent = await reservedFor('a');
    const [one, other] = [raise(null, 'a'), raise(null, 'a')];
    expect(codesOf(await works.push(cookie, [one, other]))).toEqual(['accepted', 'accepted']);
    const given = [await numberOf(one.id), await numberOf(other.id)];
    expect(new Set(given).size).toBe(2);
    for (const number of given) expect([lent.includes(number), /^W-\d+$/.test(number)]).toEqual([false, true]);
  });

  it('are as many again before they run out', async () => {
    const lent = await reservedFor('a');
    await works.push(
      cookie,
      lent.slice(0, 8).map((number) => raise(number, 'a')),
    );
    expect(await reservedFor('a')).toHaveLength(NUMBERS_AHEAD);
  });
});

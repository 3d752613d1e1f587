import { asId, type AssetId, type PlaceId, type SiteId, type StopId, type WorkOrderId } from '@oilcan/core/kernel';
import type { PastAnswer } from '@oilcan/core/past/past';
import {
  anAsset,
  ann,
  anOperation,
  aSite,
  aStep,
  aStop,
  assetId,
  aWorkOrder,
  bob,
  lea,
  noon,
  otherSite,
  put,
  smallWorks,
  workId,
} from '@oilcan/core/testing';
import { SqlRecords } from '../database/sql-records';
import { stepByStep } from '../retention/nightly';
import { codesOf, startTestServer, type TestServer } from '../testing/test-server';
import { renewPast } from '../retention/renew-past';

const bearing = asId<AssetId>('bearing');
const neighbour = asId<AssetId>('neighbour');
const faraway = asId<AssetId>('faraway');
const hall = asId<PlaceId>('hall');

const ended = (id: string, on: AssetId, at: string, siteId?: SiteId) =>
  put(
    'workOrders',
    aWorkOrder({
      id: asId<WorkOrderId>(id),
      number: id,
      assetId: on,
      placeId: hall,
      state: 'accepted',
      createdAt: `2026-${at}T08:00:00.000Z` as typeof noon,
      finishedAt: noon,
      closedAt: noon,
      ...(siteId === undefined ? {} : { siteId }),
    }),
  );

let works: TestServer;
let cookie: string;
beforeEach(async () => {
  works = await startTestServer([
    ...smallWorks(),
    put('sites', aSite({ id: otherSite, name: 'Valley' })),
    put('places', { id: asId<PlaceId>('place'), siteId: ann.siteIds[0] as SiteId, parentId: null, name: 'Station' }),
    put('places', { id: hall, siteId: ann.siteIds[0] as SiteId, parentId: asId<PlaceId>('place'), name: 'Hall' }),
    put('places', { id: asId<PlaceId>('valley'), siteId: otherSite, parentId: null, name: 'Valley station' }),
    put('assets', anAsset({ id: bearing, parentId: assetId, equipmentClass: 'bearing' })),
    put('assets', anAsset({ id: neighbour })),
    put('assets', anAsset({ id: faraway, siteId: otherSite })),
    ended('W-10', assetId, '01-05'),
    ended('W-11', assetId, '03-05'),
    ended('W-12', bearing, '02-05'),
    ended('W-13', neighbour, '04-05'),
    ended('W-14', faraway, '01-01', otherSite),
  ]);
  cookie = await works.signIn(ann);
});
afterEach(() => works.close());

const past = async (query: string): Promise<PastAnswer> =>
  (await works.ask(cookie, { url: `/api/past?${query}` })).json<PastAnswer>();
const numbers = ({ jobs }: PastAnswer): string[] => jobs.map(({ number }) => number);

describe('the past', () => {
  it('is its ended work, newest first, with what the class had elsewhere and since when records are kept', async () => {
    const answer = await past(`asset=${assetId}`);
    expect(numbers(answer)).toEqual(['W-11', 'W-10']);
    expect(answer.ofClass.map(({ number }) => number)).toEqual(['W-13']);
    expect(answer).toMatchObject({ recordsSince: '2026-01-05T08:00:00.000Z', cutAt: null });
  });

  it('is what this version makes of it, also where another one summarised it, and is kept so afterwards', async () => {
    const before = await past(`asset=${assetId}`);
    const asBefore = () => works.database('past_jobs').update({ version: 1, body: '{"number":"of before"}' });
    await asBefore();
    expect(await past(`asset=${assetId}`)).toEqual({ ...before, asOf: expect.anything() as unknown });
    const jobs = await works.database('past_jobs');
    expect(await stepByStep(works.database, renewPast, works.clock.look(), () => Promise.resolve())).toBe(jobs.length);
    expect(await works.database('past_jobs').where('version', 1)).toEqual([]);
    expect(await past(`asset=${assetId}`)).toEqual({ ...before, asOf: expect.anything() as unknown });
    expect(await stepByStep(works.database, renewPast, works.clock.look(), () => Promise.resolve())).toBe(0);
  });

  it('goes on to its parts', async () => {
    expect(numbers(await past(`asset=${assetId}&with=parts`))).toEqual(['W-11', 'W-12', 'W-10']);
  });

  it('is that of a place, with all that is within it, and of no class', async () => {
    const station = await past('place=place');
    expect(numbers(station)).toEqual(['W-13', 'W-11', 'W-12', 'W-10']);
    expect(station.ofClass).toEqual([]);
    expect(numbers(await past(`place=${hall}`))).toEqual(['W-13', 'W-11', 'W-12', 'W-10']);
  });

  it('takes work in when it ends, with what comes late, and lets it go when it is handed back', async () => {
    const lead = await works.signIn(lea);
    const finishing = [
      anOperation('labor.add', {
        workOrderId: workId,
        personId: ann.id,
        startedAt: '2026-11-23T09:00:00.000Z' as typeof noon,
        minutes: 90,
        timeType: 'regular',
      }),
      anOperation('work.finish', { workOrderId: workId }),
    ];
    const early = [anOperation('work.start', { workOrderId: workId })];
    expect(codesOf(await works.push(cookie, [...early, ...finishing]))).toEqual(['accepted', 'accepted', 'accepted']);
    const [job] = (await past(`asset=${assetId}`)).jobs;
    expect(job).toMatchObject({ id: workId, state: 'finished', activeMinutes: 90, notes: [] });
    const back = anOperation('work.hand-back', { workOrderId: workId, reason: 'Still wet' }, { by: lea.id });
    expect(codesOf(await works.push(lead, [back]))).toEqual(['accepted']);
    expect(numbers(await past(`asset=${assetId}`))).toEqual(['W-11', 'W-10']);
  });

  it('of a machine at a stop of a round has what was found there, and counts no job; taken up again it is forgotten', async () => {
    const lead = await works.signIn(lea);
    const [stop, step] = [asId<StopId>('stop'), aStep(1, { type: 'finding' }, { stopId: asId<StopId>('stop') })];
    await works.database.transaction((transaction) =>
      new SqlRecords(transaction).write([put('stops', aStop({ id: stop, assetId: neighbour })), put('steps', step)]),
    );
    const faulty = { type: 'finding', asFound: 'faulty', asLeft: 'putRight' } as const;
    const done = [
      anOperation('step.answer', { workOrderId: workId, stepId: step.id, answer: faulty }),
      anOperation('labor.add', {
        workOrderId: workId,
        personId: ann.id,
        startedAt: '2026-11-23T09:00:00.000Z' as typeof noon,
        minutes: 30,
        timeType: 'regular',
      }),
      anOperation('work.finish', { workOrderId: workId }),
    ];
    expect(codesOf(await works.push(cookie, done))).toEqual(['accepted', 'accepted', 'accepted']);
    const found = async () => (await past(`asset=${neighbour}`)).jobs.filter(({ id }) => id === workId);
    expect(await found()).toEqual([
      expect.objectContaining({
        assetId: neighbour,
        atStop: true,
        activeMinutes: 0,
        answers: [expect.objectContaining({ asLeft: 'putRight' })],
      }),
    ]);
    expect((await past(`asset=${assetId}`)).jobs[0]).toMatchObject({ id: workId, activeMinutes: 30, answers: [] });
    const back = anOperation('work.hand-back', { workOrderId: workId, reason: 'Still wet' }, { by: lea.id });
    expect(codesOf(await works.push(lead, [back]))).toEqual(['accepted']);
    expect(await found()).toEqual([]);
  });

  it('of a site that the person does not have is refused, without naming the site; of what is not there too', async () => {
    const refused = await works.ask(cookie, { url: `/api/past?asset=${faraway}` });
    expect([refused.statusCode, refused.json()]).toMatchObject([403, { code: 'other_site', values: {} }]);
    expect((await works.ask(cookie, { url: '/api/past?asset=nothing' })).statusCode).toBe(404);
    expect((await works.ask(cookie, { url: '/api/past?place=valley' })).json()).toMatchObject({ code: 'other_site' });
    expect((await works.ask(cookie, { url: '/api/past?place=nothing' })).statusCode).toBe(404);
    for (const query of ['asset=a&with=all', 'asset=a&place=b', 'with=parts', 'place=a%20b'])
      expect((await works.ask(cookie, { url: `/api/past?${query}` })).statusCode).toBe(400);
    expect((await works.ask(null, { url: `/api/past?asset=${assetId}` })).statusCode).toBe(401);
    expect(bob.siteIds).not.toContain(otherSite);
  });
});

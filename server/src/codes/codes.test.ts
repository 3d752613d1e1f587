import { asId, type AssetId, type PlaceId } from '@oilcan/core';
import { anAsset, ann, anOperation, assetId, bob, otherSite, put, smallWorks } from '@oilcan/core/testing';
import { codesOf, startTestServer, type TestServer } from '../testing/test-server';

let works: TestServer;
let cookie: string;
beforeEach(async () => {
  works = await startTestServer([
    ...smallWorks(),
    put('sites', { id: otherSite, name: 'Valley' }),
    put('assets', anAsset({ id: asId<AssetId>('far'), siteId: otherSite, tag: 'FAR-1' })),
    put('places', { id: asId<PlaceId>('hut'), siteId: otherSite, parentId: null, name: 'Hut' }),
    put('assets', anAsset({ id: asId<AssetId>('odd'), tag: '100%_"A"' })),
  ]);
  cookie = await works.signIn(ann);
});
afterEach(() => works.close());

const look = async (code: string) => {
  const answer = await works.ask(cookie, { url: `/api/codes/${encodeURIComponent(code)}` });
  return [answer.statusCode, answer.json<{ code?: string; assetId?: string; values?: unknown }>()] as const;
};

describe('a label that a phone does not know', () => {
  it('is bound, and known to everybody from then on', async () => {
    expect(await look('maker 77')).toMatchObject([404, { code: 'not_found' }]);
    const bind = anOperation('code.bind', { code: 'maker 77', assetId });
    expect(codesOf(await works.push(cookie, [bind]))).toEqual(['accepted']);
    expect(await look('MAKER 77')).toEqual([200, { assetId }]);
    const { changes } = await works.pull(await works.signIn(bob));
    expect(changes.filter(({ table }) => table === 'codes').map(({ id }) => id)).toEqual(['MAKER 77']);
  });

  it('may be a tag, with whatever characters', async () => {
    expect(await look('a1')).toEqual([200, { assetId }]);
    expect(await look('100%_"A"')).toEqual([200, { assetId: 'odd' }]);
    expect((await look('100%x"A"'))[0]).toBe(404);
  });

  it('of a site that the person does not have says which site that is', async () => {
    expect(await look('FAR-1')).toMatchObject([403, { code: 'other_site', values: { site: 'Valley' } }]);
    expect(await look('place:hut')).toMatchObject([403, { code: 'other_site', values: { site: 'Valley' } }]);
  });

  it('is refused when it can be none', async () => {
    expect(await look('\u0007')).toMatchObject([400, { code: 'code_unreadable' }]);
    expect((await look('x'.repeat(300)))[0]).toBe(400);
    expect((await works.ask(null, { url: '/api/codes/A1' })).statusCode).toBe(401);
  });
});

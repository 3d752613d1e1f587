import { asId, type AssetId, type PersonId, type PlaceId } from '@oilcan/core/kernel';
import type { Person } from '@oilcan/core/plant/people';
import {
  anAsset,
  ann,
  aPerson,
  aSite,
  anOperation,
  assetId,
  bob,
  lea,
  otherSite,
  put,
  smallWorks,
} from '@oilcan/core/testing';
import { SqlRecords } from '../database/sql-records';
import { codesOf, giveAccount, startTestServer, type TestServer } from '../testing/test-server';
import { present } from '../testing/test-clock';

let works: TestServer;
let cookie: string;
beforeEach(async () => {
  works = await startTestServer([
    ...smallWorks(),
    put('sites', aSite({ id: otherSite, name: 'Valley' })),
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

  it('of a site that the person does not have says only that', async () => {
    expect(await look('FAR-1')).toMatchObject([403, { code: 'other_site', values: {} }]);
    expect(await look('place:hut')).toMatchObject([403, { code: 'other_site', values: {} }]);
  });

  it('may be as long as a label can be, and is refused beyond', async () => {
    for (const length of [101, 128]) expect((await look('X'.repeat(length)))[0]).toBe(404);
    expect((await look('X'.repeat(129)))[0]).toBe(400);
  });

  it('is never taken over from another machine, and tells nothing of machines that one may not see', async () => {
    const bind = (code: string, who: Person, at = assetId) =>
      works.signIn(who).then(async (signedIn) => {
        const answer = await works.push(signedIn, [
          anOperation('code.bind', { code, assetId: at }, { by: who.id, at: present }),
        ]);
        return answer.json<{ outcomes: { outcome: unknown }[] }>().outcomes[0]?.outcome;
      });
    const odd = asId<AssetId>('odd');
    expect(await bind('A1', ann, odd)).toMatchObject({ code: 'code_bound', values: { name: 'Gearbox' } });
    expect(await bind('FAR-1', ann)).toMatchObject({ code: 'code_taken', values: { code: 'FAR-1' } });
    expect(await bind('LABEL-1', ann)).toEqual({ ok: true });
    expect(await bind('LABEL-1', ann, odd)).toMatchObject({ code: 'code_bound' });
    // A lead may rebind it, which is written down; a lead of another site may not, and learns nothing.
    const stranger = aPerson({ id: asId<PersonId>('sam'), name: 'Sam', roles: ['lead'], siteIds: [otherSite] });
    await works.database.transaction((transaction) => new SqlRecords(transaction).put('people', stranger));
    await giveAccount(works.database, stranger);
    expect(await bind('LABEL-1', stranger, asId<AssetId>('far'))).toEqual({
      ok: false,
      code: 'code_taken',
      values: { code: 'LABEL-1' },
      field: 'code',
    });
    expect(await bind('LABEL-1', lea, odd)).toEqual({ ok: true });
    expect(await look('label-1')).toEqual([200, { assetId: 'odd' }]);
    const bound = await works.database('codes').where('id', 'LABEL-1').first('body');
    expect(JSON.parse((bound as { body: string }).body)).toMatchObject({
      by: lea.id,
      previous: [{ assetId, by: ann.id }],
    });
    const unbind = anOperation('code.unbind', { code: 'label-1' }, { by: lea.id });
    expect(codesOf(await works.push(await works.signIn(lea), [unbind]))).toEqual(['accepted']);
    expect((await look('label-1'))[0]).toBe(404);
    expect(await bind('LABEL-1', ann)).toEqual({ ok: true });
  });

  it('is refused when it can be none', async () => {
    expect(await look('\u0007')).toMatchObject([400, { code: 'code_unreadable' }]);
    expect((await look('x'.repeat(300)))[0]).toBe(400);
    expect((await works.ask(null, { url: '/api/codes/A1' })).statusCode).toBe(401);
  });
});

import { asId, type AssetId, type BinId, type PersonId, type WorkOrderId } from '../../../kernel/ids';
import type { ArgsOf } from '../../../registry/operations';
import {
  aCrew,
  anAsset,
  anOperation,
  aRaise,
  ann,
  assetId,
  binId,
  bob,
  lea,
  otherSite,
  partId,
  put,
} from '../../../testing/builders';
import { codeOf, Works } from '../../../testing/works';

const raised = (given: Partial<ArgsOf<'work.raise'>> = {}): ArgsOf<'work.raise'> =>
  aRaise({ number: 'W-77', ...given });

describe('work that is raised', () => {
  it('is on the machine and at its place, ready, under the number it brings and the id of its operation', async () => {
    const works = new Works();
    const operation = anOperation('work.raise', raised({ personIds: [ann.id] }));
    expect(await works.send(operation)).toEqual({ ok: true });
    expect(works.records.peek('workOrders', operation.id)).toMatchObject({
      number: 'W-77',
      assetId,
      placeId: anAsset().placeId,
      state: 'ready',
      tradeId: ann.tradeId,
      personIds: [ann.id],
      cameFrom: null,
    });
  });

  it('has its steps, its kit, its hazards, and what it came from', async () => {
    const works = new Works();
    const operation = anOperation(
      'work.raise',
      raised({
        steps: [
          { text: 'Tighten', question: { type: 'tick' }, under: null, when: null },
          { text: 'Look again', question: { type: 'finding' }, under: null, when: null },
        ],
        kit: [{ partId, binId, quantity: 2_000, unit: null }],
        hazards: [{ hazard: 'Rope moves', control: 'Lock out' }],
        cameFrom: asId<WorkOrderId>('w-1'),
      }),
    );
    expect(await works.send(operation)).toEqual({ ok: true });
    const steps = works.records.peekList('steps', 'workOrder', operation.id);
    expect(steps.map(({ position, text }) => [position, text])).toEqual([
      [1, 'Tighten'],
      [2, 'Look again'],
    ]);
    const [led] = works.records.peekList('workOrders', 'cameFrom', 'w-1');
    expect([led?.id, led?.kit.length, led?.hazards[0]?.hazard]).toEqual([operation.id, 1, 'Rope moves']);
  });

  it('is marked as provisional where there is no number, until one is given', async () => {
    const works = new Works();
    const operation = anOperation('work.raise', raised({ number: null }));
    await works.send(operation);
    expect(works.records.peek('workOrders', operation.id)?.number).toMatch(/^W-\?/);
  });

  it.each<[string, Partial<ArgsOf<'work.raise'>>, string]>([
    ['on a machine that is not there', { assetId: asId<AssetId>('gone') }, 'not_found'],
    ['under a number that is taken', { number: 'W-1' }, 'number_taken'],
    ['for a mate, by somebody who is no lead', { personIds: [bob.id] }, 'not_yours_to_give'],
    ['for somebody who is not there', { personIds: [asId<PersonId>('nobody')] }, 'not_found'],
    ['from work that is not there', { cameFrom: asId<WorkOrderId>('w-9') }, 'not_found'],
    ['with a part in no bin', { kit: [{ partId, binId: asId<BinId>('x'), quantity: 1, unit: null }] }, 'not_found'],
    ['without words', { title: ' ' }, 'invalid'],
  ])('is refused %s', async (_, given, code) => {
    expect(codeOf(await new Works().do('work.raise', raised(given)))).toBe(code);
  });

  it('is refused for the crew of others, and taken for one’s own', async () => {
    const works = new Works();
    works.records.change([put('crews', aCrew({ memberIds: [bob.id] }))]);
    const { id: crewId } = aCrew();
    expect(codeOf(await works.do('work.raise', raised({ crewId })))).toBe('not_yours_to_give');
    works.records.change([put('crews', aCrew({ memberIds: [ann.id] }))]);
    expect(codeOf(await works.do('work.raise', raised({ crewId })))).toBe('accepted');
  });

  it('is given to anybody of the site by a lead, on a machine of their sites', async () => {
    const works = new Works();
    expect(codeOf(await works.do('work.raise', raised({ personIds: [bob.id] }), lea))).toBe('accepted');
    works.records.change([put('assets', anAsset({ siteId: otherSite }))]);
    expect(codeOf(await works.do('work.raise', raised({ number: 'W-78' }), lea))).toBe('not_found');
  });
});

import { asId, type WorkOrderId } from '../../../kernel/ids';
import { addMinutes } from '../../../kernel/time/instant';
import { anAsset, aWorkOrder, noon } from '../../../testing/builders';
import { anIncident, aReport } from '../../../testing/report-builders';
import { worstWaiting, type BeforeALead } from './worst-waiting';

const nothing: BeforeALead = { reports: [], incidents: [], assets: [], works: [], finished: 0 };
const worst = (given: Partial<BeforeALead>) => worstWaiting({ ...nothing, ...given }, noon).is;
const job = (given: Parameters<typeof aWorkOrder>[0]) =>
  aWorkOrder({ id: asId<WorkOrderId>(JSON.stringify(given)), ...given });

describe('the worst thing that waits for a lead', () => {
  const all: [string, Partial<BeforeALead>][] = [
    ['danger', { reports: [aReport({ danger: true, urgency: 'now' })] }],
    ['injury', { incidents: [anIncident({ kind: 'injury', closed: null })] }],
    ['stopped', { assets: [anAsset({ condition: 'stopped', criticality: 2 })] }],
    ['late', { works: [job({ urgency: 'now', state: 'ready', dueAt: addMinutes(noon, -60) })] }],
    ['report', { reports: [aReport({ danger: false })] }],
    ['goAhead', { works: [job({ goAhead: { since: noon, givenBy: null }, urgency: 'week', state: 'ready' })] }],
    ['finished', { finished: 2 }],
    ['nothing', {}],
  ];

  it.each(all.map(([is], index) => [is, index] as const))('%s comes before all that is after it', (is, index) => {
    const left = all.slice(index).map(([, given]) => given);
    const before = left.reduce<BeforeALead>(
      (sum, given) => ({
        reports: [...sum.reports, ...(given.reports ?? [])],
        incidents: [...sum.incidents, ...(given.incidents ?? [])],
        assets: [...sum.assets, ...(given.assets ?? [])],
        works: [...sum.works, ...(given.works ?? [])],
        finished: sum.finished + (given.finished ?? 0),
      }),
      nothing,
    );
    expect(worst(before)).toBe(is);
  });

  it('is no machine at which somebody is, or that hardly matters, and nothing that is closed', () => {
    const asset = anAsset({ condition: 'stopped', criticality: 1 });
    expect(worst({ assets: [asset], works: [job({ state: 'underway', assetId: asset.id })] })).toBe('nothing');
    expect(worst({ assets: [anAsset({ condition: 'stopped', criticality: 4 })] })).toBe('nothing');
    const closed = { by: asset.id as never, at: noon };
    expect(worst({ incidents: [anIncident({ kind: 'injury', closed: closed as never })] })).toBe('nothing');
  });
});

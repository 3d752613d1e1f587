import { aWorkOrder, put, smallWorks, someSettings, workId } from '@oilcan/core/testing';
import { currentEntries } from '@oilcan/core/orders/work';
import { press, type, words } from '../../../testing/hands';
import { OnWork, TestWorks } from '../../../testing/works';
import { ServiceSheet } from '../services/service-sheet';
import { ToolSheet } from './tool-sheet';

let works: TestWorks;
const onClose = jest.fn();
beforeEach(async () => {
  onClose.mockReset();
  works = await TestWorks.open([
    ...smallWorks(),
    put('settings', someSettings({ costCentres: [{ id: 'snow', name: 'Snow making' }] })),
    put('workOrders', aWorkOrder({ state: 'underway', tools: [{ name: 'Chain hoist', count: 1 }] })),
  ]);
});
afterEach(() => works.close());

const kept = async () =>
  currentEntries((await works.sent()).peekList('entries', 'workOrder', workId)).map(({ content }) => content);

it('keeps a tool by the hour, one that is planned in a press, charged where somebody chose', async () => {
  await works.show(<OnWork>{(work) => <ToolSheet work={work} onClose={onClose} />}</OnWork>);
  await press('Chain hoist', 'radio');
  await type('An hour costs, in EUR', '12');
  await type('How long', '1:30');
  expect(words()).toContain('It costs €18.00.');
  await press('Snow making', 'radio');
  await press('Keep the tool');
  expect(onClose).toHaveBeenCalled();
  expect(await kept()).toMatchObject([
    { kind: 'tool', words: 'Chain hoist', minutes: 90, cost: { minor: 1_800 }, costCentre: 'snow' },
  ]);
});

it('keeps an outside service for what of it arrived', async () => {
  await works.show(<OnWork>{(work) => <ServiceSheet work={work} onClose={onClose} />}</OnWork>);
  await type('What was done', 'Rewound the motor');
  await type('Agreed, in EUR', '1000');
  await type('Arrived so far, in percent', '40');
  expect(words()).toContain('It costs what arrived: €400.00.');
  await type('Arrived so far, in percent', '140');
  await press('Keep the service');
  expect(words()).toContain('No more than all of it.');
  await type('Arrived so far, in percent', '40');
  await press('Keep the service');
  expect(await kept()).toMatchObject([{ kind: 'service', cost: { minor: 40_000 }, arrivedPercent: 40 }]);
});

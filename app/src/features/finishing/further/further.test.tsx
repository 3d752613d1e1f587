import { asId, type WorkOrderId } from '@oilcan/core/kernel';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { ann, aStep, aWorkOrder, noon, put, smallWorks, workId } from '@oilcan/core/testing';
import { perform } from '../../../data/store/store';
import { press, type, words } from '../../../testing/hands';
import { visited } from '../../../testing/router';
import { OnWork, TestWorks } from '../../../testing/works';
import { FinishSheet } from '../lifecycle';
import { ChainLines } from './chain-lines';
import { FurtherSheet } from './further-sheet';

let works: TestWorks;
const onClose = jest.fn();
afterEach(() => works.close());

const led = async (): Promise<readonly WorkOrder[]> => (await works.sent()).peekList('workOrders', 'cameFrom', workId);
const answered = (number: number, asLeft: 'faulty' | 'putRight') =>
  aStep(
    number,
    { type: 'finding' },
    {
      answer: {
        value: { type: 'finding', asFound: 'faulty', asLeft },
        at: noon,
        by: ann.id,
        entryId: asId('e'),
      },
    },
  );

describe('what a finished job leaves', () => {
  const finish = async (): Promise<void> => {
    const steps = [answered(1, 'faulty'), answered(2, 'putRight'), answered(3, 'faulty')];
    works = await TestWorks.open(smallWorks({ state: 'underway', kind: 'improvement' }, steps));
    await works.show(
      <OnWork>{(work) => <FinishSheet work={work} entries={[]} asked={[]} onClose={onClose} />}</OnWork>,
    );
  };

  it('is raised as further work of its machine, together, as the job is finished', async () => {
    await finish();
    expect(words()).toContain('2 things are left: raised as 1 work order');
    await press('Yes, it is done');
    const [raised, another] = await led();
    expect(another).toBeUndefined();
    expect(raised).toMatchObject({ assetId: aWorkOrder().assetId, cameFrom: workId, kind: 'corrective' });
    expect(raised?.answers).toEqual([aStep(1).id, aStep(3).id]);
  });

  it('is split by hand, and some of it left out', async () => {
    await finish();
    await press('Split');
    expect(words()).toContain('2 things are left: raised as 2 work orders');
    await press('Raise it', 'checkbox');
    await press('Yes, it is done');
    expect((await led()).map(({ answers }) => answers)).toEqual([[aStep(3).id]]);
  });
});

it('is raised from anywhere on the sheet, with how soon, and with the notes that were chosen', async () => {
  works = await TestWorks.open(smallWorks({ state: 'underway' }));
  await perform('note.add', { workOrderId: workId, text: 'Hose is chafed' });
  await works.show(<OnWork>{(work) => <FurtherSheet work={work} onClose={onClose} />}</OnWork>);
  await press('Raise this work order');
  expect(words()).toContain('Write something first.');
  await type('What is to be done', 'Replace the hose');
  await press('This shift', 'radio');
  await press('Hose is chafed', 'checkbox');
  await press('Raise this work order');
  const [raised] = await led();
  expect(raised).toMatchObject({ title: 'Replace the hose', urgency: 'shift', cameFrom: workId });
  const entries = (await works.sent()).peekList('entries', 'workOrder', raised?.id ?? '');
  expect(entries.map(({ content }) => content.kind)).toEqual(['note']);
});

it('stands on both with what it came from and what it led to', async () => {
  const link = (id: string, cameFrom: string) =>
    put(
      'workOrders',
      aWorkOrder({ id: asId<WorkOrderId>(id), number: id, title: `Job ${id}`, cameFrom: asId<WorkOrderId>(cameFrom) }),
    );
  works = await TestWorks.open([
    ...smallWorks({ cameFrom: asId<WorkOrderId>('W-8') }),
    link('W-8', 'W-7'),
    link('W-9', 'w-1'),
  ]);
  await works.show(<OnWork>{(work) => <ChainLines work={work} />}</OnWork>);
  expect(words()).toContain('Came from W-8, Job W-8 (ready)');
  await press(/Led to W-9/, 'link');
  expect(visited.at(-1)).toBe('/shift/W-9');
});

import { binId, bob, partId, smallWorks, ann, anOperation, workId, noon, sideAt } from '@oilcan/core/testing';
import { applyOperation } from '@oilcan/core/registry/operations';
import { perform } from '../../../data/store/store';
import { press, type, words } from '../../../testing/hands';
import { kept, TestWorks } from '../../../testing/works';
import { KeptSheet } from './kept-sheet';
import { SentMark } from './sent-mark';

const onWork = { workOrderId: workId };
let works: TestWorks;
const onClose = jest.fn();
beforeEach(async () => {
  works = await TestWorks.open(smallWorks({ state: 'underway', personIds: [ann.id, bob.id] }));
});
afterEach(() => works.close());

/** Of three that Ann took Bob puts two back, while Ann, without signal, puts all of them back. */
const refusedForAnn = async (): Promise<void> => {
  await perform('part.use', { ...onWork, partId, binId, quantity: 3_000 });
  await works.sent();
  works.server.signal = 'none';
  await perform('part.return', { ...onWork, partId, binId, quantity: 3_000 });
  const bobs = anOperation('part.return', { ...onWork, partId, binId, quantity: 2_000 }, { by: bob.id });
  await works.server.write((await applyOperation(works.server.records, bobs, bob, sideAt(noon))).changes);
  works.server.signal = 'good';
  await works.sent();
  await works.show(
    <>
      <SentMark />
      <KeptSheet onClose={onClose} />
    </>,
  );
};

describe('what is not sent yet', () => {
  it('waits without signal, with since when, and goes when asked to try', async () => {
    works.server.signal = 'none';
    await perform('note.add', { ...onWork, text: 'Bearing is blue' });
    await works.sent();
    await works.show(<KeptSheet onClose={onClose} />);
    expect(words()).toContain('W-1 Seal weeping · waits since');
    works.server.signal = 'good';
    await press('Try now');
    expect(kept()).toEqual([]);
  });

  it('is shown with the reason when it was not taken, and goes out once it is mended', async () => {
    await refusedForAnn();
    expect(kept()).toEqual(['part.return rejected']);
    expect(words()).toMatch(/Needs you.*3 pcs Seal.*Not taken\./);
    await press('Mend and send');
    await type(/Amount|How much/, 'some');
    await press('Send it so');
    expect(kept()).toEqual(['part.return rejected']);
    await type(/Amount|How much/, '1');
    await press('Send it so');
    expect([works.said, (await works.sent()).peek('stock', `${partId}@${binId}`)?.onHand]).toEqual([
      'Mended. It goes out again.',
      8_000,
    ]);
    expect(kept()).toEqual([]);
  });

  it('is dropped only when that is asked for twice', async () => {
    await refusedForAnn();
    await press('Drop it');
    await press('Keep it');
    expect(kept()).toEqual(['part.return rejected']);
    await press('Drop it');
    await press('Drop it for good');
    expect(kept()).toEqual([]);
  });
});

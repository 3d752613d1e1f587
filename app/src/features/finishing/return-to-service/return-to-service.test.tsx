import { act } from '@testing-library/react';
import { asId, type EntryId } from '@oilcan/core/kernel';
import { sealOfRecord } from '@oilcan/core/registry';
import { anEntry, noon, put, smallWorks, workId } from '@oilcan/core/testing';
import { saveFile } from '../../../data/browser/save-file';
import { perform, useRows } from '../../../data/store/store';
import { canPress, press, type, words } from '../../../testing/hands';
import { OnWork, TestWorks } from '../../../testing/works';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { useState, type ReactElement } from 'react';
import { ServiceLines } from './service-lines';

function Lines({ work }: { readonly work: WorkOrder }): ReactElement {
  const [open, setOpen] = useState<string | null>(null);
  return <ServiceLines work={work} entries={useRows('entries', 'workOrder', work.id)} open={open} onOpen={setOpen} />;
}

// Nothing can be drawn where there is no canvas.
jest.mock('../../../ui/drawn/signature-pad', () => ({ SignaturePad: () => null }));
jest.mock('../../../data/browser/save-file', () => ({ saveFile: jest.fn() }));

let works: TestWorks;
afterEach(() => works.close());

describe('the return to service', () => {
  it('begins with who gave the machine to maintenance', async () => {
    works = await TestWorks.open(smallWorks({ state: 'underway' }));
    await works.show(<OnWork>{(work) => <Lines work={work} />}</OnWork>);
    await press('Machine handed over to maintenance');
    await press('Keep');
    expect(words()).toContain('Write something first.');
    await type('Who gives it', 'Control room');
    await press('Keep');
    expect(words()).toContain('Machine handed over to maintenance by Control room: Running');
  });

  it('is signed without drawing where the name is said to stand for it, and is marked so', async () => {
    const note = anEntry({ kind: 'note', text: 'Seal replaced' }, { id: asId<EntryId>('note') });
    works = await TestWorks.open([...smallWorks({ state: 'underway' }), put('entries', note)]);
    await works.show(<OnWork>{(work) => <Lines work={work} />}</OnWork>);
    await press('Back in service');
    await type('Who takes it', 'Lukas');
    await press('It is back in service');
    expect(words()).toContain('Nothing was drawn.');
    await press('Sign without drawing: my name stands for it', 'checkbox');
    await press('It is back in service');
    expect(words()).toContain('Back in service, taken by Lukas (name typed): Ready to run.');
    expect(canPress('Signature as PNG')).toBe(false);
  });

  it('shows who took it back, and says when the record is not as it was signed', async () => {
    const note = anEntry({ kind: 'note', text: 'Seal replaced' }, { id: asId<EntryId>('note') });
    const returned = anEntry(
      {
        kind: 'returned',
        condition: 'Ready to run',
        reservations: 'Run at 3 m/s',
        signature: { name: 'Lukas', path: 'M0 0L9 9' },
        seal: sealOfRecord([note]),
      },
      { id: asId<EntryId>('returned') },
    );
    works = await TestWorks.open([
      ...smallWorks({ state: 'underway', startedAt: noon }),
      put('entries', note),
      put('entries', returned),
    ]);
    await works.show(<OnWork>{(work) => <Lines work={work} />}</OnWork>);
    expect(words()).toContain('Back in service, taken by Lukas: Ready to run.');
    expect(words()).toContain('The record is as it was signed.');
    await press('Signature as SVG');
    const [name, type, svg] = jest.mocked(saveFile).mock.lastCall ?? [];
    expect([name, type]).toEqual(['Lukas.svg', 'image/svg+xml']);
    expect(svg).toContain('d="M0 0L9 9"');
    await act(async () => {
      await perform('note.amend', { workOrderId: workId, entryId: note.id, text: 'Seal and sleeve replaced' });
    });
    expect(words()).toContain('Since it was signed: 1 entry amended.');
  });
});

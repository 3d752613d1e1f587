import { waitFor } from '@testing-library/react';
import { anAsset, assetId, put, site, smallWorks, workId } from '@oilcan/core/testing';
import { saveFile } from '../../../data/browser/save-file';
import { perform } from '../../../data/store/store';
import type { Label } from '@oilcan/paper/label-formats';
import { canPress, press, type, words } from '../../../testing/hands';
import { OnWork, TestWorks } from '../../../testing/works';
import { LabelSheetForm } from './label-sheet-form';
import { makePaper } from './make-paper';
import { PaperSheet } from './paper-sheet';

jest.mock('./make-paper', () => ({ makePaper: jest.fn(() => Promise.resolve()) }));
jest.mock('../../../data/browser/save-file', () => ({ saveFile: jest.fn() }));
const made = jest.mocked(makePaper);
const saved = jest.mocked(saveFile);

const labels: readonly Label[] = [{ headline: 'A1', detail: 'Gearbox', code: 'A1' } as Label];
let works: TestWorks;
const onClose = jest.fn();
beforeEach(async () => {
  made.mockClear();
  onClose.mockReset();
  works = await TestWorks.open(smallWorks());
});
afterEach(() => works.close());

describe('paper of a work order', () => {
  it('is a job card or a tag', async () => {
    await works.show(<OnWork>{(work) => <PaperSheet work={work} onClose={onClose} />}</OnWork>);
    await press('Job card, A4');
    expect(made.mock.calls.at(-1)).toMatchObject([{ what: 'job card', card: { number: 'W-1' } }, 'W-1.pdf']);
    await press('Out-of-service tag, A6');
    expect(made.mock.calls.at(-1)).toMatchObject([{ what: 'tag' }, 'W-1-tag.pdf']);
    expect(onClose).toHaveBeenCalledTimes(2);
  });
});

describe('a job card with documents', () => {
  const document = {
    id: 'manual',
    siteId: site,
    assetId,
    name: 'Manual',
    mediaType: 'application/pdf' as const,
    bytes: 9,
    fileId: 'manual-file' as never,
  };

  it('offers those of what the machine is part of too, after its own, and says whose they are', async () => {
    await works.close();
    const whole = anAsset({ id: 'whole' as never, name: 'Lark drive', parentId: null });
    works = await TestWorks.open([
      ...smallWorks(),
      put('assets', whole),
      put('assets', anAsset({ parentId: whole.id })),
      put('documents', { ...document, id: 'drawing', name: 'Drawing', assetId: whole.id }),
      put('documents', document),
    ]);
    await works.show(<OnWork>{(work) => <PaperSheet work={work} onClose={onClose} />}</OnWork>);
    expect([canPress('Manual', 'checkbox'), canPress('Drawing, of Lark drive', 'checkbox')]).toEqual([true, true]);
    expect(words().indexOf('Manual')).toBeLessThan(words().indexOf('Drawing, of Lark drive'));
  });

  it('takes those that are chosen, and of a PDF the pages that are named', async () => {
    await works.close();
    works = await TestWorks.open([...smallWorks(), put('documents', document)]);
    await works.show(<OnWork>{(work) => <PaperSheet work={work} onClose={onClose} />}</OnWork>);
    await press('Manual', 'checkbox');
    await type('Pages of Manual', 'all of it');
    expect(words()).toContain('Write the pages as 3, 3-5 or 3-5, 9.');
    expect(canPress('Job card with 1 document')).toBe(false);
    await type('Pages of Manual', '3-4, 9');
    await press('Job card with 1 document');
    // The file is neither on this phone nor to be had: the paper says so in its place.
    await waitFor(() =>
      expect(made.mock.calls.at(-1)).toMatchObject([
        { what: 'job card', behind: [{ name: 'Manual', pages: [3, 4, 9], content: null }] },
        'W-1.pdf',
      ]),
    );
  });
});

describe('labels', () => {
  it('begin at the first free place of a sheet that was begun', async () => {
    await works.show(<LabelSheetForm labels={labels} name="labels-A1" onClose={onClose} />);
    await type('First free place on the sheet', '5');
    await press('Make the PDF');
    expect(made.mock.calls.at(-1)).toMatchObject([{ what: 'labels', firstPlace: 5 }, 'labels-A1.pdf']);
  });

  it.each(['0', '-1', '1.5', 'first', '999', ''])('do not begin at “%s”', async (place) => {
    await works.show(<LabelSheetForm labels={labels} name="labels" onClose={onClose} />);
    await type('First free place on the sheet', place);
    expect([canPress('Make the PDF'), words().includes('Give a place from 1 to')]).toEqual([false, true]);
  });

  it('are at most a thousand at once', async () => {
    const many = Array.from({ length: 1_001 }, () => labels[0] as Label);
    await works.show(<LabelSheetForm labels={many} name="labels" onClose={onClose} />);
    expect([canPress('Make the PDF'), words().includes('too many')]).toEqual([false, true]);
  });
});

describe('the record of a work order', () => {
  it('is saved as a document and as lines, whether there is signal or not', async () => {
    await perform('note.add', { workOrderId: workId, text: 'Grease was black, =1+1' });
    await works.show(<OnWork>{(work) => <PaperSheet work={work} onClose={onClose} />}</OnWork>);
    await press('Record as JSON');
    const [name, mediaType, text] = saved.mock.calls.at(-1) ?? [];
    expect([name, mediaType]).toEqual(['W-1.json', 'application/json']);
    expect(JSON.parse(String(text))).toMatchObject({
      format: 'oilcan-record',
      workOrder: { number: 'W-1', asset: { name: 'Gearbox' } },
      entries: [{ content: { kind: 'note', text: 'Grease was black, =1+1' } }],
    });
    await press('Entries as CSV');
    expect(saved.mock.calls.at(-1)?.[0]).toBe('W-1-entries.csv');
    expect(String(saved.mock.calls.at(-1)?.[2])).toContain('"Grease was black, =1+1"');
  });
});

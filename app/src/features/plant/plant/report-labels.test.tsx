import { isLabelKey } from '@oilcan/core/raising/labels';
import { anAsset, aReportLabel, assetId, lea, put, smallWorks } from '@oilcan/core/testing';
import { press, words } from '../../../testing/hands';
import { TestWorks } from '../../../testing/works';
import { ReportLabelList } from './report-label-list';
import { labelsToReport } from './report-labels';

let works: TestWorks;
afterEach(() => works.close());

describe('labels by which everybody may report', () => {
  it('are made once for each machine, and lead to this server', async () => {
    works = await TestWorks.open(smallWorks());
    const [label] = (await labelsToReport([anAsset()])) ?? [];
    const [again] = (await labelsToReport([anAsset()])) ?? [];
    expect(again).toEqual(label);
    const key = label?.code.split('/').at(-1) ?? '';
    expect([isLabelKey(key), label?.headline]).toEqual([true, anAsset().tag]);
    expect((await works.sent()).peekList('reportLabels', 'asset', assetId).map(({ id }) => id)).toEqual([key]);
  });

  it('are withdrawn by a lead; the next one that is printed is another', async () => {
    works = await TestWorks.open([...smallWorks(), put('reportLabels', aReportLabel())], lea);
    await works.show(<ReportLabelList asset={anAsset()} />);
    await press(/^Withdraw the label that ends in/);
    expect(words()).toContain('withdrawn by Lea');
    await works.show(<></>);
    const [label] = (await labelsToReport([anAsset()])) ?? [];
    expect(label?.code).not.toContain(aReportLabel().id);
    expect((await works.sent()).peekList('reportLabels', 'asset', assetId)).toHaveLength(2);
  });

  it('are no technician’s to withdraw', async () => {
    works = await TestWorks.open([...smallWorks(), put('reportLabels', aReportLabel())]);
    await works.show(<ReportLabelList asset={anAsset()} />);
    expect(words()).not.toContain('Withdraw');
  });
});

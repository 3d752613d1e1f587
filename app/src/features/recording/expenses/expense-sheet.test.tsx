import { useState } from 'react';
import { currentOf, type WorkOrder } from '@oilcan/core/orders/work';
import { smallWorks, workId } from '@oilcan/core/testing';
import { press, type, words } from '../../../testing/hands';
import { OnWork, TestWorks } from '../../../testing/works';
import { RecordList } from '../record/record';
import { WrapUpPart } from '../../orders/sheet/wrap-up-part';
import { ExpenseSheet } from './expense-sheet';

let works: TestWorks;
const onClose = jest.fn();
beforeEach(async () => {
  onClose.mockReset();
  works = await TestWorks.open(smallWorks({ state: 'underway' }));
});
afterEach(() => works.close());

function WrapUp({ work }: { readonly work: WorkOrder }) {
  const [sheet, setSheet] = useState<string | null>(null);
  return (
    <WrapUpPart work={work} onPlaced={() => undefined} onCorrect={() => undefined} open={sheet} onOpen={setSheet} />
  );
}

const open = () => works.show(<OnWork>{(work) => <ExpenseSheet work={work} onClose={onClose} />}</OnWork>);
const expenses = async () =>
  currentOf((await works.sent()).peekList('entries', 'workOrder', workId), 'expense').map(({ content }) => content);

describe('an expense', () => {
  it('is kept as it was typed, in the currency of the site, and stands in the record and in what the job cost', async () => {
    await open();
    await type('Amount, in EUR', '12,50');
    await type('What for', 'Taxi to the mid station');
    await press('Keep the expense');
    expect(onClose).toHaveBeenCalled();
    expect(await expenses()).toEqual([
      { kind: 'expense', amount: { minor: 1_250, currency: 'EUR' }, words: 'Taxi to the mid station', receipt: null },
    ]);
    await works.show(
      <OnWork>
        {(work) => (
          <>
            <WrapUp work={work} />
            <RecordList work={work} />
          </>
        )}
      </OnWork>,
    );
    expect(words()).toContain('Planned 1 h. Other costs €12.50.');
    expect(words()).toContain('Taxi to the mid stationExpense €12.50');
  });

  it.each([
    ['what cannot be read', 'twelve', 'Taxi', 'Write an amount, such as 12.50.'],
    ['nothing', '0', 'Taxi', 'Give an amount above zero.'],
    ['no words', '12', '  ', 'Write something first.'],
  ])('of %s is not kept, and says so at its field', async (_, amount, what, sentence) => {
    await open();
    await type('Amount, in EUR', amount);
    await type('What for', what);
    await press('Keep the expense');
    expect([words().includes(sentence), onClose.mock.calls.length, await expenses()]).toEqual([true, 0, []]);
  });

  it('is recorded beside what the job cost so far', async () => {
    await works.show(<OnWork>{(work) => <WrapUp work={work} />}</OnWork>);
    await press(/^More: costs/);
    await press('Expense');
    expect(words()).toContain('Amount, in EUR');
  });
});

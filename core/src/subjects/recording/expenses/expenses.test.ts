import { asId, type EntryId } from '../../../kernel/ids';
import { money } from '../../../kernel/money/money';
import { costOf, entryKinds } from '../../../registry/entries';
import { fileNamedBy, type ArgsOf } from '../../../registry/operations';
import { summarise } from '../../past/past/past-job';
import { aWorkOrder, ann, anOperation, bob, workId } from '../../../testing/builders';
import { codeOf, Works } from '../../../testing/works';

const taxi: ArgsOf<'expense.add'> = {
  workOrderId: workId,
  minor: 1_250,
  currency: 'EUR',
  words: 'Taxi',
  receipt: null,
};
const fileId = 'a'.repeat(64);
const withReceipt = { ...taxi, receipt: { fileId: asId<never>(fileId), mediaType: 'image/jpeg', width: 4, height: 3 } };

describe('an expense', () => {
  it('counts among what the job cost beside time and parts', async () => {
    const works = new Works();
    await works.do('expense.add', taxi);
    await works.do('expense.add', { ...taxi, minor: 900, currency: 'CHF' });
    expect(costOf(works.entries).groups.other).toEqual([money(1_250, 'EUR'), money(900, 'CHF')]);
    expect(costOf(works.entries).total).toHaveLength(2);
  });

  it('is amended in its own currency by whoever recorded it, and taken back', async () => {
    const works = new Works({ personIds: [ann.id, bob.id] });
    const operation = anOperation('expense.add', taxi);
    await works.send(operation);
    const onEntry = { workOrderId: workId, entryId: asId<EntryId>(operation.id) };
    expect(codeOf(await works.do('expense.amend', { ...onEntry, minor: 1_300 }, bob))).toBe('entry_of_another');
    expect(codeOf(await works.do('expense.amend', { ...onEntry, minor: 1_300 }))).toBe('accepted');
    expect(costOf(works.entries).total).toEqual([money(1_300, 'EUR')]);
    const amended = works.entries.find(({ amends }) => amends === onEntry.entryId);
    const back = { workOrderId: workId, entryId: amended?.id ?? asId<EntryId>(''), reason: 'Paid by the office' };
    expect(codeOf(await works.do('entry.withdraw', back))).toBe('accepted');
    expect(costOf(works.entries).total).toEqual([]);
  });

  it('names the photo of its receipt, which goes before it', () => {
    expect(fileNamedBy({ name: 'expense.add', args: withReceipt })).toBe(fileId);
    expect(fileNamedBy({ name: 'expense.add', args: taxi })).toBeNull();
    expect(fileNamedBy({ name: 'expense.add', args: { receipt: 'none' } })).toBeNull();
  });

  it('stays in the past of the machine', async () => {
    const works = new Works();
    await works.do('expense.add', taxi);
    expect(summarise(entryKinds, aWorkOrder(), works.entries).expenses).toEqual([
      { amount: money(1_250, 'EUR'), words: 'Taxi' },
    ]);
  });

  it.each<[string, Partial<ArgsOf<'expense.add'>>]>([
    ['nothing', { minor: 0 }],
    ['a fraction of a cent', { minor: 0.5 }],
    ['more than anybody lays out', { minor: 1e12 }],
    ['no currency', { currency: 'euro' }],
    ['no words', { words: '' }],
  ])('of %s is refused', async (_, given) => {
    expect(codeOf(await new Works().do('expense.add', { ...taxi, ...given }))).toBe('invalid');
  });
});

import { addMinutes } from '@oilcan/core/kernel';
import { applyOperation, type ArgsOf, type OperationName } from '@oilcan/core/registry/operations';
import { ann, anOperation, binId, bob, noon, partId, smallWorks, workId, sideAt } from '@oilcan/core/testing';
import { useRow } from '../../../data/store/store';
import { canPress, press, type, words } from '../../../testing/hands';
import { OnWork, TestWorks } from '../../../testing/works';
import { EntrySheet } from './entry-sheet';

const onWork = { workOrderId: workId };

let works: TestWorks;
const onClose = jest.fn();
/** Records something as Bob does or as Ann does, and lets Ann look at it. */
const open = async <N extends OperationName>(name: N, args: ArgsOf<N>, by = ann, isAmended = false): Promise<void> => {
  onClose.mockReset();
  works = await TestWorks.open(smallWorks({ state: 'underway', personIds: [ann.id, bob.id] }));
  const operation = anOperation(name, args, { by: by.id });
  const { changes } = await applyOperation(works.server.records, operation, by, sideAt(noon));
  await works.server.write(changes);
  await works.sent();
  const Shown = () => {
    const entry = useRow('entries', operation.id);
    return (
      <OnWork>
        {(work) =>
          entry === undefined ? null : <EntrySheet entry={entry} work={work} isAmended={isAmended} onClose={onClose} />
        }
      </OnWork>
    );
  };
  await works.show(<Shown />);
};
afterEach(() => works.close());

/** What was recorded beside what was looked at. */
const contents = async () => (await works.sent()).peekList('entries', 'workOrder', workId).slice(1);

describe('an entry', () => {
  it('of time is amended by another that stands in its place', async () => {
    const startedAt = addMinutes(noon, -90);
    await open('labor.add', { ...onWork, personId: ann.id, startedAt, minutes: 30, timeType: 'regular' });
    await press('Amend');
    await type('How long', 'soon');
    await press('Amend the time');
    expect(words()).toContain('Write how long as 1:30, 1.5, 90m or 1h30.');
    // A bare number is asked about.
    await type('How long', '45');
    await press('Amend the time');
    expect(words()).toContain('45 minutes or 45 hours?');
    await press(/^45.min$/);
    await type(/^From/, '9.15');
    await press('Overtime', 'radio');
    await press('Amend the time');
    expect(onClose).toHaveBeenCalled();
    expect(await contents()).toMatchObject([
      {
        amends: expect.any(String),
        content: { kind: 'labor', minutes: 45, startedAt: '2026-11-23T08:15:00.000Z', timeType: 'overtime' },
      },
    ]);
  });

  it('of a note is amended with other words', async () => {
    await open('note.add', { ...onWork, text: 'Bearing is blue' });
    await type('Text instead', 'Bearing is blue and rough');
    await press('Amend');
    expect(await contents()).toMatchObject([{ content: { text: 'Bearing is blue and rough' } }]);
  });

  it('is taken back with a reason only', async () => {
    await open('note.add', { ...onWork, text: 'Wrong job' });
    await press('Take it back');
    expect([onClose.mock.calls.length, await contents()]).toEqual([0, []]);
    await type('Why it should not be there', 'Belongs to W-2');
    await press('Take it back');
    expect(works.said).toBe('Taken back.');
  });

  it('of a part that is amended puts back what was too much', async () => {
    await open('part.use', { ...onWork, partId, binId, quantity: 3_000 });
    await type('Amount instead', '1');
    await press('Amend');
    expect((await works.sent()).peek('stock', `${partId}@${binId}`)?.onHand).toBe(7_000);
  });

  it('of a mate, or one that was amended, is only read', async () => {
    await open('note.add', { ...onWork, text: 'Mine' }, bob);
    expect([words().includes('Bob, '), canPress('Amend'), canPress('Take it back')]).toEqual([true, false, false]);
    await works.close();
    await open('note.add', { ...onWork, text: 'Old' }, ann, true);
    expect(words()).toContain('Amended: the entry that holds now stands beside it in the record.');
  });
});

import { parseInstant } from '../../../kernel/time/instant';
import { entryKinds } from '../../../registry/entries';
import { ann, aWorkOrder, binId, bob, partId, workId } from '../../../testing/builders';
import { codeOf, minutesLater, Works } from '../../../testing/works';
import { summarise } from '../../past/past/past-job';
import { saidNone } from './none';

const onWork = { workOrderId: workId };
const anHour = {
  ...onWork,
  personId: ann.id,
  startedAt: parseInstant(minutesLater(-60)),
  minutes: 60,
  timeType: 'regular' as const,
};

describe('that there was none', () => {
  it('is another thing than that nothing is said, also in the past', async () => {
    const works = new Works();
    expect(summarise(entryKinds, aWorkOrder(), works.entries).saidNone).toEqual([]);
    await works.do('none.say', { ...onWork, of: 'part' });
    await works.do('none.say', { ...onWork, of: 'part' });
    expect(works.entries).toHaveLength(1);
    expect(summarise(entryKinds, aWorkOrder(), works.entries).saidNone).toEqual(['part']);
  });

  it('gives way to what is recorded later, and is not said beside it', async () => {
    const works = new Works();
    await works.do('none.say', { ...onWork, of: 'part' });
    await works.do('part.use', { ...onWork, partId, binId, quantity: 1_000 });
    expect(saidNone(works.entries, ann.id)).toEqual([]);
    expect(await works.do('none.say', { ...onWork, of: 'part' })).toMatchObject({ code: 'none_but_recorded' });
  });

  it('of time is said by each for themselves, and owes no time any more', async () => {
    const works = new Works({ personIds: [ann.id, bob.id], state: 'underway' });
    await works.do('none.say', { ...onWork, of: 'time' }, bob);
    expect(saidNone(works.entries, ann.id)).toEqual([]);
    expect(codeOf(await works.do('work.finish', onWork))).toBe('not_finished_owed');
    expect(codeOf(await works.do('work.finish', onWork, bob))).toBe('accepted');
  });

  it('of time stands beside the time of others', async () => {
    const works = new Works({ personIds: [ann.id, bob.id] });
    await works.do('labor.add', anHour);
    expect(codeOf(await works.do('none.say', { ...onWork, of: 'time' }))).toBe('none_but_recorded');
    expect(codeOf(await works.do('none.say', { ...onWork, of: 'time' }, bob))).toBe('accepted');
    expect(saidNone(works.entries, bob.id)).toEqual(['time']);
  });
});

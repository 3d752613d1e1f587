import { smallWorks, workId } from '@oilcan/core/testing';
import { settled } from '../../testing/hands';
import { TestWorks } from '../../testing/works';
import { perform, synchronize, usePhone } from '../store/store';

let works: TestWorks;
afterEach(() => works.close());

const note = (text: string) => perform('note.add', { workOrderId: workId, text });

it('sends what is recorded while the phone catches up after it had no signal', async () => {
  works = await TestWorks.open(smallWorks());
  works.server.signal = 'none';
  await note('Without signal');
  await synchronize();
  works.server.signal = 'good';
  // What is new takes its time to arrive; by then everything that was pending has gone out.
  const answering = globalThis.fetch;
  let arrive = (): void => undefined;
  const arrived = new Promise<void>((resolve) => (arrive = resolve));
  globalThis.fetch = async (...asked) => {
    const answer = await answering(...asked);
    if (String(asked[0]).includes('/api/sync')) await arrived;
    return answer;
  };
  const catchingUp = synchronize();
  while (works.server.pushes === 0) await settled();
  await note('While it catches up');
  arrive();
  await catchingUp;
  await settled();
  expect(usePhone.getState().kept.filter(({ where }) => where === 'pending')).toEqual([]);
});

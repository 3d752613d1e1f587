import { ann, smallWorks, workId } from '@oilcan/core/testing';
import { nameOf } from '../../../data/browser/name-of';
import { press, type, words } from '../../../testing/hands';
import { OnWork, TestWorks } from '../../../testing/works';
import { MailSheet } from './mail-sheet';

const mockPdf = new Uint8Array([37, 80, 68, 70, 45]);
jest.mock('../../../data/browser/ask-worker', () => ({ askWorker: jest.fn(() => Promise.resolve(mockPdf)) }));

let works: TestWorks;
const onClose = jest.fn();
beforeEach(async () => {
  onClose.mockReset();
  works = await TestWorks.open(smallWorks({ state: 'finished' }));
  await works.show(<OnWork>{(work) => <MailSheet work={work} onClose={onClose} />}</OnWork>);
});
afterEach(() => works.close());

it('refuses what is no address, and sends the record to one that is', async () => {
  await type('To which address', 'eva at home');
  await press('Send it');
  expect(words()).toContain('This is no address for mail');
  await works.server.noteArrived(nameOf(mockPdf), ann, 'application/pdf');
  await type('To which address', ' eva@example.org ');
  await type('One line with it (not needed)', 'As promised');
  await press('Send it');
  expect(onClose).toHaveBeenCalled();
  const copies = (await works.sent()).peekList('copies', 'workOrder', workId);
  expect(copies).toMatchObject([{ to: 'eva@example.org', line: 'As promised' }]);
});

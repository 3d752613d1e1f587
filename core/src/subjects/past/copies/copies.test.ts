import { asId, type FileId } from '../../../kernel/ids';
import { ann, workId } from '../../../testing/builders';
import { codeOf, Works } from '../../../testing/works';

const fileId = asId<FileId>('a'.repeat(64));
const copy = { workOrderId: workId, to: 'eva@example.org', line: 'As promised', fileId };

describe('a copy by mail', () => {
  it('is noted with the job, whatever state that is in', async () => {
    const works = new Works({ state: 'accepted' });
    expect(codeOf(await works.do('work.mail-copy', copy))).toBe('accepted');
    expect(works.records.peekList('copies', 'workOrder', workId)).toMatchObject([{ to: copy.to, by: ann.id, fileId }]);
  });

  it.each([
    'eva',
    'eva@',
    '@example.org',
    'eva@example',
    'Eva <eva@example.org>',
    'eva@example.org, bob@example.org',
    'eva@example.org\r\nBcc: all@example.org',
    'e va@example.org',
    '',
  ])('is not sent to “%s”', async (to) => {
    const works = new Works();
    expect(codeOf(await works.do('work.mail-copy', { ...copy, to }))).not.toBe('accepted');
    expect(works.records.peekList('copies', 'workOrder', workId)).toEqual([]);
  });

  it('is refused for work of elsewhere, and once it was sent twenty times', async () => {
    const works = new Works();
    expect(codeOf(await works.do('work.mail-copy', copy, { ...ann, siteIds: [] }))).toBe('not_found');
    for (let sent = 0; sent < 20; sent += 1) expect(codeOf(await works.do('work.mail-copy', copy))).toBe('accepted');
    expect(codeOf(await works.do('work.mail-copy', copy))).toBe('copies_enough');
  });
});

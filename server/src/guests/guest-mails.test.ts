import { anOperation, aReportLabel, lea, put, smallWorks, somePlace, someRules } from '@oilcan/core/testing';
import { guestBrowser } from '../testing/guest-browser';
import { PRESENT } from '../testing/test-clock';
import { startTestServer, type TestServer } from '../testing/test-server';
import { deliverGuestMails } from './guest-mails';

let works: TestServer;
const { report, reports } = guestBrowser(() => works);
beforeEach(async () => {
  const rules = put('raiseRules', someRules({ takesGuests: true }));
  works = await startTestServer([
    ...smallWorks(),
    put('places', somePlace),
    put('reportLabels', aReportLabel()),
    rules,
  ]);
});
afterEach(() => works.close());

describe('a reporter who gave an address for mail', () => {
  it('is told of the answer, by number and without names', async () => {
    await report({ name: 'Eva', reach: 'eva@example.org' });
    const [kept] = await reports();
    if (kept === undefined) throw new Error('There is no report.');
    const decline = anOperation(
      'report.decline',
      { reportId: kept.id, reason: 'It is meant to squeak' },
      { by: lea.id },
    );
    await works.push(await works.signIn(lea), [decline]);
    const sent: { readonly to: { readonly address: string }; readonly subject: string; readonly text: string }[] = [];
    const mail = { send: async (each: (typeof sent)[number]) => void sent.push(each) };
    expect(await deliverGuestMails(works.database, mail, PRESENT)).toBe(1);
    expect(await deliverGuestMails(works.database, mail, PRESENT)).toBe(0);
    expect(sent).toMatchObject([{ to: { address: 'eva@example.org' }, subject: 'P-1: Nothing is done about it' }]);
    expect(sent[0]?.text).toContain('It is meant to squeak');
    expect(sent[0]?.text).not.toContain(lea.name);
  });
});

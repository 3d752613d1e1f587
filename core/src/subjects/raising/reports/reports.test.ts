import fc from 'fast-check';
import { asId, type AssetId, type FileId, type PersonId, type ReportId, type WorkOrderId } from '../../../kernel/ids';
import {
  ann,
  anAsset,
  anOperation,
  aRaise,
  aWorkOrder,
  assetId,
  bob,
  lea,
  noon,
  otherSite,
  put,
  workId,
} from '../../../testing/builders';
import { aReport, aReporting, reportId, someRules, somePlace } from '../../../testing/report-builders';
import { pastJobsOf } from '../../../registry/past';
import { codeOf, minutesLater, Works } from '../../../testing/works';
import { isOpenReport, photosOf, urgencyOfReport, type Report } from './report';

const fileId = asId<FileId>('a'.repeat(64));
const picture = { fileId, mediaType: 'image/jpeg', width: 800, height: 600 } as const;

const worksWith = (report: Partial<Report> = {}): Works => {
  const works = new Works();
  works.records.change([put('reports', aReport(report)), put('places', somePlace)]);
  return works;
};
const reportIn = (works: Works, id: string = reportId): Report | undefined => works.records.peek('reports', id);

describe('a report', () => {
  it('is numbered at once and stands where the machine stands', async () => {
    const works = new Works();
    const operation = anOperation('report.make', aReporting({ number: 'P-7', photo: picture }));
    expect(await works.send(operation)).toEqual({ ok: true });
    expect(reportIn(works, operation.id)).toMatchObject({
      number: 'P-7',
      assetId,
      placeId: anAsset().placeId,
      by: ann.id,
      state: 'waiting',
      urgency: 'week',
      photo: picture,
    });
  });

  it('may name a place alone, and finds its machine later', async () => {
    const works = worksWith();
    const operation = anOperation('report.make', aReporting({ assetId: null, placeId: somePlace.id }));
    expect(codeOf(await works.send(operation))).toBe('accepted');
    const id = asId<ReportId>(operation.id);
    expect(codeOf(await works.do('report.name-machine', { reportId: id, assetId }, bob))).toBe('accepted');
    expect(reportIn(works, id)).toMatchObject({ assetId, events: [{ is: 'machine', by: bob.id }] });
  });

  it('on a machine that was merged meanwhile is on the one that stands for it', async () => {
    const works = new Works();
    const old = asId<AssetId>('old');
    works.records.change([put('assets', anAsset({ id: old, mergedInto: assetId }))]);
    const operation = anOperation('report.make', aReporting({ assetId: old }));
    await works.send(operation);
    expect(reportIn(works, operation.id)?.assetId).toBe(assetId);
  });

  it('does not go round for ever where machines were merged into one another', async () => {
    const works = new Works();
    const [one, other] = [asId<AssetId>('one'), asId<AssetId>('other')];
    works.records.change([
      put('assets', anAsset({ id: one, mergedInto: other })),
      put('assets', anAsset({ id: other, mergedInto: one })),
    ]);
    expect(codeOf(await works.do('report.make', aReporting({ assetId: one })))).toBe('accepted');
  });

  it.each<[string, Parameters<typeof aReporting>[0], string]>([
    ['on a machine that is not there', { assetId: asId<AssetId>('gone') }, 'not_found'],
    ['that names nothing', { assetId: null }, 'not_found'],
    ['without words', { words: ' ' }, 'invalid'],
    ['that began in the future', { since: '2026-11-24T11:00:00Z' as never }, 'stoppage_in_future'],
    ['under a number that is taken', { number: 'P-1' }, 'number_taken'],
  ])('is refused %s', async (_, given, code) => {
    expect(codeOf(await worksWith().do('report.make', aReporting(given)))).toBe(code);
  });

  it('is refused on a machine of elsewhere', async () => {
    const works = new Works();
    works.records.change([put('assets', anAsset({ siteId: otherSite }))]);
    expect(codeOf(await works.do('report.make', aReporting()))).toBe('not_found');
  });

  it('says what its site wants to be said, and what of it is missing', async () => {
    const works = new Works();
    works.records.change([
      put('raiseRules', someRules({ asked: { ...someRules().asked, problem: { photo: 'must' } } })),
    ]);
    expect(await works.do('report.make', aReporting())).toMatchObject({
      code: 'report_lacks',
      field: 'photo',
      values: { what: 'a photo' },
    });
    expect(codeOf(await works.do('report.make', aReporting({ photo: picture })))).toBe('accepted');
  });

  // Common practice: danger and standstill decide how soon somebody comes.
  it.each([
    [{ condition: null, danger: null }, 3, 'week'],
    [{ condition: 'running', danger: false }, 1, 'week'],
    [{ condition: 'reduced', danger: null }, 3, 'week'],
    [{ condition: 'reduced', danger: null }, 1, 'shift'],
    [{ condition: 'stopped', danger: false }, 3, 'shift'],
    [{ condition: 'stopped', danger: false }, 1, 'now'],
    [{ condition: 'running', danger: true }, 4, 'now'],
    [{ condition: 'stopped', danger: null }, null, 'shift'],
  ] as const)('%j on a machine of criticality %s is to be answered: %s', (how, criticality, urgency) => {
    expect(urgencyOfReport(how, criticality)).toBe(urgency);
  });
});

describe('“me too”', () => {
  it('counts everybody once, and the reporter never again', async () => {
    const works = worksWith();
    for (const person of [bob, bob, ann, lea]) await works.do('report.me-too', { reportId }, person);
    expect(reportIn(works)?.others.map(({ personId }) => personId)).toEqual([bob.id, lea.id]);
  });

  it('on work makes a report that has joined it, once', async () => {
    const works = worksWith();
    const operation = anOperation('report.me-too-on-work', { number: 'P-8', workOrderId: workId });
    expect(codeOf(await works.send(operation))).toBe('accepted');
    expect(codeOf(await works.do('report.me-too-on-work', { number: 'P-9', workOrderId: workId }))).toBe('accepted');
    const joined = works.records.peekList('reports', 'work', workId);
    expect(joined.map(({ number, state, by }) => [number, state, by])).toEqual([['P-8', 'taken', ann.id]]);
  });

  it('is refused on work that is over', async () => {
    const works = new Works({ state: 'accepted' });
    expect(codeOf(await works.do('report.me-too-on-work', { number: null, workOrderId: workId }))).toBe(
      'work_order_closed',
    );
  });
});

describe('answering a report', () => {
  it('is a lead’s, and a technician’s where the site says so', async () => {
    const works = worksWith();
    const question = { reportId, words: 'Which side?' };
    expect(codeOf(await works.do('report.ask', question, bob))).toBe('not_yours_to_answer');
    works.records.change([put('raiseRules', someRules({ technicianTakesUp: true }))]);
    expect(codeOf(await works.do('report.ask', question, bob))).toBe('accepted');
  });

  it('by asking back waits for its reporter, who answers by saying more', async () => {
    const works = worksWith();
    await works.do('report.ask', { reportId, words: 'Which side?' }, lea, minutesLater(5));
    expect(reportIn(works)).toMatchObject({ state: 'asked', answeredAt: minutesLater(5) });
    await works.do('report.say', { reportId, words: 'I saw it too', photo: null }, bob);
    expect(reportIn(works)?.state).toBe('asked');
    await works.do('report.say', { reportId, words: 'The left one', photo: null }, ann);
    expect(reportIn(works)).toMatchObject({ state: 'waiting', answeredAt: minutesLater(5) });
  });

  it('by sending somebody to look waits until they have', async () => {
    const works = worksWith();
    await works.do('report.send-to-look', { reportId, personId: bob.id }, lea);
    expect(reportIn(works)?.looking).toBe(bob.id);
    await works.do('report.confirm', { reportId, words: 'The seal is gone' }, bob);
    expect(reportIn(works)).toMatchObject({ looking: null, state: 'waiting' });
  });

  it('by declining gives the reason, and closes it', async () => {
    const works = worksWith();
    expect(codeOf(await works.do('report.decline', { reportId, reason: ' ' }, lea))).toBe('invalid');
    await works.do('report.decline', { reportId, reason: 'It is water' }, lea);
    expect(reportIn(works)).toMatchObject({ state: 'declined', endedAt: noon });
    expect(codeOf(await works.do('report.me-too', { reportId }, bob))).toBe('report_over');
    expect(codeOf(await works.do('report.decline', { reportId, reason: 'again' }, lea))).toBe('report_answered');
  });

  it('by taking it up makes work with its pictures, and tells every double', async () => {
    const works = worksWith({ photo: picture });
    const double = asId<ReportId>('p-2');
    works.records.change([put('reports', aReport({ id: double, number: 'P-2', by: bob.id }))]);
    const operation = anOperation('work.raise', aRaise({ number: 'W-9', reportIds: [reportId, double] }), {
      by: lea.id,
    });
    expect(codeOf(await works.send(operation, lea))).toBe('accepted');
    expect([reportIn(works), reportIn(works, double)]).toMatchObject([
      { state: 'taken', workOrderId: operation.id },
      { state: 'taken', workOrderId: operation.id },
    ]);
    const entries = works.records.peekList('entries', 'workOrder', operation.id);
    expect(entries.map(({ content }) => content)).toEqual(
      expect.arrayContaining([
        expect.objectContaining({ kind: 'photo', fileId, caption: 'P-1' }),
        expect.objectContaining({ kind: 'report', number: 'P-1', words: aReport().words }),
        expect.objectContaining({ kind: 'report', number: 'P-2' }),
      ]),
    );
    const [job] = pastJobsOf(aWorkOrder({ state: 'accepted' }), entries, []);
    expect(job?.reports.map(({ number }) => number)).toEqual(['P-1', 'P-2']);
  });

  it('is refused a second time: the work that there is stays the only one', async () => {
    const works = worksWith();
    expect(codeOf(await works.do('work.raise', aRaise({ number: 'W-9', reportIds: [reportId] }), lea))).toBe(
      'accepted',
    );
    expect(codeOf(await works.do('work.raise', aRaise({ number: 'W-10', reportIds: [reportId] }), lea))).toBe(
      'report_answered',
    );
    expect(works.records.peekList('workOrders', 'number', 'W-10')).toEqual([]);
  });

  it('by joining it to work is refused where that is over or elsewhere', async () => {
    const works = worksWith();
    works.records.change([put('workOrders', aWorkOrder({ id: asId<WorkOrderId>('w-2'), siteId: otherSite }))]);
    const joining = (id: string) => works.do('report.join', { reportId, workOrderId: asId<WorkOrderId>(id) }, lea);
    expect(codeOf(await joining('w-2'))).toBe('not_found');
    expect(codeOf(await joining('w-1'))).toBe('accepted');
  });
});

describe('a report closes with its work', () => {
  const finishing = { workOrderId: workId };
  const taken = { state: 'taken', workOrderId: workId } as const;

  it('solved when it is finished, taken again when it is handed back', async () => {
    const works = new Works({ state: 'underway' });
    works.records.change([put('reports', aReport(taken))]);
    await works.do('none.say', { workOrderId: workId, of: 'time' }, ann);
    expect(codeOf(await works.do('work.finish', finishing, ann, minutesLater(10)))).toBe('accepted');
    expect(reportIn(works)).toMatchObject({ state: 'solved', endedAt: minutesLater(10) });
    await works.do('work.hand-back', { ...finishing, reason: 'Still drips' }, lea, minutesLater(20));
    expect(reportIn(works)).toMatchObject({ state: 'taken', endedAt: null });
    await works.do('work.finish', finishing, ann, minutesLater(30));
    expect(reportIn(works)?.events.map(({ is }) => is)).toEqual(['solved', 'reopened', 'solved']);
  });

  it('waits for an answer again when it is dropped', async () => {
    const works = new Works({ state: 'ready' });
    works.records.change([put('reports', aReport(taken))]);
    await works.do('work.drop', { ...finishing, reason: 'Not ours' }, lea);
    expect(reportIn(works)).toMatchObject({ state: 'waiting', workOrderId: null });
  });
});

describe('what may be added to a report', () => {
  it('is bounded, for those without an account too', async () => {
    const works = worksWith();
    for (let said = 0; said < 200; said += 1)
      expect(codeOf(await works.do('report.say', { reportId, words: `again ${said}`, photo: null }))).toBe('accepted');
    expect(codeOf(await works.do('report.say', { reportId, words: 'once more', photo: null }))).toBe('report_full');
  });

  it('needs words or a photo; all its pictures stand with it', async () => {
    const works = worksWith({ photo: picture });
    expect(codeOf(await works.do('report.say', { reportId, words: ' ', photo: null }))).toBe('invalid');
    const second = { ...picture, fileId: asId<FileId>('b'.repeat(64)) };
    await works.do('report.say', { reportId, words: '', photo: second });
    const report = reportIn(works);
    expect(report && photosOf(report)).toEqual([picture, second]);
  });
});

describe('whatever is done to a report', () => {
  type Deed = 'ask' | 'say' | 'look' | 'confirm' | 'decline' | 'meToo' | 'take' | 'drop' | 'finish';
  const deeds: readonly Deed[] = ['ask', 'say', 'look', 'confirm', 'decline', 'meToo', 'take', 'drop', 'finish'];

  it('leaves it with work exactly while it is taken or solved, open exactly while it has no end', () =>
    fc.assert(
      fc.asyncProperty(fc.array(fc.constantFrom(...deeds), { maxLength: 12 }), async (done) => {
        const works = worksWith();
        for (const [index, deed] of done.entries()) {
          const at = minutesLater(index);
          const workOrderId = reportIn(works)?.workOrderId ?? workId;
          const doing: Record<Deed, () => Promise<unknown>> = {
            ask: () => works.do('report.ask', { reportId, words: 'Where?' }, lea, at),
            say: () => works.do('report.say', { reportId, words: 'There', photo: null }, ann, at),
            look: () => works.do('report.send-to-look', { reportId, personId: bob.id }, lea, at),
            confirm: () => works.do('report.confirm', { reportId, words: '' }, bob, at),
            decline: () => works.do('report.decline', { reportId, reason: 'No' }, lea, at),
            meToo: () => works.do('report.me-too', { reportId }, bob, at),
            take: () =>
              works.do(
                'work.raise',
                aRaise({ number: `W-${index + 10}`, kind: 'improvement', reportIds: [reportId] }),
                lea,
                at,
              ),
            drop: () => works.do('work.drop', { workOrderId, reason: 'No' }, lea, at),
            finish: async () => {
              await works.do('work.start', { workOrderId }, lea, at);
              await works.do('work.finish', { workOrderId }, lea, at);
            },
          };
          await doing[deed]();
          const report = reportIn(works);
          if (report === undefined) throw new Error('The report is gone.');
          expect(report.workOrderId !== null).toBe(report.state === 'taken' || report.state === 'solved');
          expect(report.endedAt === null).toBe(isOpenReport(report));
          expect(new Set(report.events.map(({ id }) => id)).size).toBe(report.events.length);
        }
      }),
      { numRuns: 60 },
    ));
});

it('is of nobody whose sites it is not', async () => {
  const stranger = { ...bob, id: asId<PersonId>('sam'), siteIds: [otherSite] };
  const works = worksWith();
  expect(codeOf(await works.do('report.me-too', { reportId }, stranger))).toBe('not_found');
  expect(codeOf(await works.do('report.say', { reportId, words: 'Hello', photo: null }, stranger))).toBe('not_found');
});

import { asId, type FileId, type IncidentId, type PersonId } from '../../../kernel/ids';
import { ann, anOperation, bob, lea, noon, put } from '../../../testing/builders';
import { anIncidentReport, someRules } from '../../../testing/report-builders';
import { codeOf, minutesLater, Works } from '../../../testing/works';
import { filesOfIncident, MOST_INCIDENT_NOTES, type Incident } from './incident';

const reported = async (given: Parameters<typeof anIncidentReport>[0] = {}) => {
  const works = new Works();
  const operation = anOperation('incident.make', anIncidentReport({ number: 'P-5', ...given }));
  const outcome = codeOf(await works.send(operation));
  const incidentId = asId<IncidentId>(operation.id);
  const row = (): Incident | undefined => works.records.peek('incidents', incidentId);
  return { works, outcome, incidentId, row };
};

describe('an incident', () => {
  it('is read by whoever reported it and was there, and by nobody else', async () => {
    const { row } = await reported({ presentIds: [bob.id, bob.id], causes: ['haste', 'haste'] });
    expect(row()).toMatchObject({
      number: 'P-5',
      readerIds: [ann.id, bob.id],
      presentIds: [bob.id],
      causes: ['haste'],
    });
  });

  it.each<[string, Parameters<typeof anIncidentReport>[0], string]>([
    ['that is still to come', { happenedAt: minutesLater(5) }, 'stoppage_in_future'],
    ['with somebody who is not there', { presentIds: [asId<PersonId>('nobody')] }, 'not_found'],
    ['with a cause that is none', { causes: ['bad luck'] as never }, 'invalid'],
    ['signed with nothing', { signature: { name: 'Ann', path: 'M1 1' } }, 'signature_empty'],
    ['signed with a script', { signature: { name: 'Ann', path: '<svg onload=x>' } }, 'signature_no_drawing'],
    ['of an injury of which is not said what was done', { kind: 'injury' }, 'report_lacks'],
    ['without words', { words: '' }, 'invalid'],
  ])('is refused %s', async (_, given, code) => {
    expect((await reported(given)).outcome).toBe(code);
  });

  it('takes words of those whom it concerns; of others it is not even there', async () => {
    const { works, incidentId, row } = await reported();
    const more = { incidentId, words: 'It was wet', photo: null, closes: false };
    expect(codeOf(await works.do('incident.add', more, bob))).toBe('not_found');
    expect(codeOf(await works.do('incident.add', more, lea))).toBe('not_found');
    expect(codeOf(await works.do('incident.add', more, ann))).toBe('accepted');
    expect(row()?.notes).toMatchObject([{ by: ann.id, words: 'It was wet' }]);
  });

  it('is closed by a lead who may read it, and opened again by more', async () => {
    const { works, incidentId, row } = await reported({ presentIds: [lea.id] });
    const closing = { incidentId, words: 'A rail was put up', photo: null, closes: true };
    expect(codeOf(await works.do('incident.add', closing, ann))).toBe('role_missing');
    expect(codeOf(await works.do('incident.add', closing, lea))).toBe('accepted');
    expect(row()?.closed).toEqual({ at: noon, by: lea.id, words: 'A rail was put up' });
    await works.do('incident.add', { ...closing, words: 'It is loose again', closes: false }, ann);
    expect(row()?.closed).toBeNull();
  });

  it('takes the voice of those whom it concerns, as one of its files, until it is full; it opens what was closed', async () => {
    const { works, incidentId, row } = await reported({ presentIds: [lea.id] });
    const voice = { fileId: asId<FileId>('b'.repeat(64)), mediaType: 'audio/webm', seconds: 7 } as const;
    await works.do('incident.add', { incidentId, words: 'Sanded', photo: null, closes: true }, lea);
    expect(codeOf(await works.do('incident.say-aloud', { incidentId, voice }, bob))).toBe('not_found');
    expect(codeOf(await works.do('incident.say-aloud', { incidentId, voice }, ann))).toBe('accepted');
    const incident = row();
    expect(incident).toMatchObject({ notes: [{ words: 'Sanded' }, { by: ann.id, words: '', voice }], closed: null });
    expect(incident === undefined ? [] : filesOfIncident(incident)).toEqual([voice.fileId]);
    for (let said = 2; said < MOST_INCIDENT_NOTES; said++)
      await works.do('incident.say-aloud', { incidentId, voice }, ann);
    expect(codeOf(await works.do('incident.say-aloud', { incidentId, voice }, ann))).toBe('report_full');
  });

  it('asks what its site wants of its kind', async () => {
    const works = new Works();
    works.records.change([
      put('raiseRules', someRules({ asked: { ...someRules().asked, nearMiss: { causes: 'must' } } })),
    ]);
    expect(await works.do('incident.make', anIncidentReport())).toMatchObject({
      code: 'report_lacks',
      field: 'causes',
    });
    expect(codeOf(await works.do('incident.make', anIncidentReport({ causes: ['untidy'] })))).toBe('accepted');
  });
});

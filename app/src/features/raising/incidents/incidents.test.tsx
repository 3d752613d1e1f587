import { screen } from '@testing-library/react';
import { asId, type IncidentId } from '@oilcan/core/kernel';
import { ann, anIncident, assetId, bob, lea, put, smallWorks, somePlace, someRules } from '@oilcan/core/testing';
import { peekAll, peekRow } from '../../../data/store/store';
import { canPress, press, type, words } from '../../../testing/hands';
import { seen } from '../../../testing/pretend-senses';
import { visited } from '../../../testing/router';
import { TestWorks } from '../../../testing/works';
import { RaisePage } from '../../frame/raise-page/raise-page';
import { IncidentRows } from './incident-rows';
import { IncidentScreen } from './incident-screen';

// There is no canvas here: what is drawn is tested in the browser.
jest.mock('../../../ui/drawn/signature-pad', () => ({ SignaturePad: () => null }));

jest.mock('../../../data/pictures/take-picture', () => jest.requireActual<object>('../../../testing/pretend-senses'));
jest.mock('../../../data/files/use-voice', () => jest.requireActual<object>('../../../testing/pretend-senses'));

let works: TestWorks;
afterEach(() => works.close());
const open = async (rows: Parameters<typeof TestWorks.open>[0] = [], person = ann): Promise<void> => {
  works = await TestWorks.open([...smallWorks(), put('places', somePlace), ...rows], person);
};

describe('reporting an incident', () => {
  const show = async (rows: Parameters<typeof TestWorks.open>[0] = []): Promise<void> => {
    await open(rows);
    await works.show(<RaisePage assetId={assetId} placeId={undefined} way="incident" />);
  };

  it('says what happened, what led to it and what was done', async () => {
    await show();
    await type('What happened', 'A bolt fell');
    await press('Haste', 'checkbox');
    await press('Untidy', 'checkbox');
    await press('Haste', 'checkbox');
    await type(/What was done at once/, 'Roped off');
    await press('Report the incident');
    const [incident] = (await works.sent()).peekAll('incidents');
    expect(incident).toMatchObject({
      kind: 'nearMiss',
      words: 'A bolt fell',
      causes: ['untidy'],
      doneAtOnce: 'Roped off',
    });
    expect(works.said).toContain('Only the leads and who was there see it.');
  });

  it('asks by its kind, and says what is missing', async () => {
    await show();
    expect(words()).not.toContain('Signed by Ann');
    await press('Somebody was hurt', 'radio');
    expect(words()).toContain('Signed by Ann');
    await type('What happened', 'Cut in the hand');
    await press('Bob', 'checkbox');
    await press('Report the incident');
    expect(words()).toContain('Say this too, it is needed here: what was done at once.');
    await type('What was done at once', 'Bandaged');
    await type('When', '12:30');
    await press('Report the incident');
    const [incident] = (await works.sent()).peekAll('incidents');
    expect(incident).toMatchObject({ kind: 'injury', presentIds: [bob.id], happenedAt: '2026-11-23T11:30:00.000Z' });
  });

  it('shows no question that the lead does not want', async () => {
    const asked = { ...someRules().asked, nearMiss: {} };
    await show([put('raiseRules', someRules({ asked }))]);
    expect([words().includes('What led to it'), words().includes('What was done at once')]).toEqual([false, false]);
  });

  it('does not take a time that is none', async () => {
    await show([put('raiseRules', someRules({ asked: { ...someRules().asked, nearMiss: { since: 'asked' } } }))]);
    await type('What happened', 'A bolt fell');
    await type('When', 'around noon');
    await press('Report the incident');
    expect(words()).toContain('Write the time as 14:20.');
  });

  it('keeps what was typed, chosen and taken through a reload', async () => {
    await show();
    works.server.signal = 'none';
    await type('What happened', 'Half a sent');
    await press('Haste', 'checkbox');
    await type(/What was done at once/, 'Roped off');
    await press('Photo (not needed)');
    await works.show(<RaisePage assetId={assetId} placeId={undefined} way="incident" />);
    expect(document.querySelector('textarea')?.value).toBe('Half a sent');
    await press('Another photo');
    await press('Report the incident');
    const [incident] = peekAll('incidents');
    expect(incident).toMatchObject({ causes: ['haste'], doneAtOnce: 'Roped off', photo: { fileId: seen.id } });
    expect(incident?.notes).toMatchObject([{ words: '', photo: { fileId: seen.id } }]);
  });

  it('takes along what was said, photographed and spoken in any other way, and keeps its own when one changes one’s mind', async () => {
    await open();
    works.server.signal = 'none';
    await works.show(<RaisePage assetId={assetId} placeId={undefined} />);
    await type('What is it', 'A bolt fell');
    await press('Photo');
    await press('Voice note: press to begin');
    await press('Incident', 'radio');
    await press('Haste', 'checkbox');
    await press('Report it', 'radio');
    expect(document.querySelector('textarea')?.value).toBe('A bolt fell');
    await press('Incident', 'radio');
    expect(screen.queryByRole('checkbox', { name: 'Haste', checked: true })).not.toBeNull();
    await press('Report the incident');
    expect(peekAll('incidents')).toMatchObject([
      {
        words: 'A bolt fell',
        causes: ['haste'],
        photo: { fileId: seen.id },
        notes: [{ words: '', voice: { seconds: 7 } }],
      },
    ]);
    await works.show(<RaisePage assetId={assetId} placeId={undefined} />);
    expect(document.querySelector('textarea')?.value).toBe('');
  });

  it('leaves out what was taken after all', async () => {
    await open();
    works.server.signal = 'none';
    await works.show(<RaisePage assetId={assetId} placeId={undefined} />);
    await type('What is it', 'A bolt fell');
    await press('Photo');
    await press('Voice note: press to begin');
    await press('Incident', 'radio');
    await press('Leave the photo out');
    await press('Leave the voice note out');
    await press('Report the incident');
    expect(peekAll('incidents')).toMatchObject([{ photo: null, notes: [] }]);
  });
});

describe('an incident', () => {
  const mine = anIncident({ by: ann.id, readerIds: [ann.id, lea.id], causes: ['slippery'], presentOthers: 'A guest' });

  it('tells everything to whom it concerns, and takes more', async () => {
    await open([put('incidents', mine)]);
    await works.show(<IncidentScreen incidentId={mine.id} />);
    for (const said of ['Near miss', mine.words, 'What led to it: Slippery', 'Who was there: A guest'])
      expect(words()).toContain(said);
    expect(canPress('Close it')).toBe(false);
    await press('Add something');
    await type('What there is to add', 'It was icy');
    await press('Keep it');
    expect((await works.sent()).peek('incidents', mine.id)?.notes).toMatchObject([{ by: ann.id, words: 'It was icy' }]);
    expect(words()).toContain('It was icy');
  });

  it('takes words and the voice together, or the voice alone', async () => {
    await open([put('incidents', mine)]);
    await works.show(<IncidentScreen incidentId={mine.id} />);
    works.server.signal = 'none';
    await press('Add something');
    await press('Voice note: press to begin');
    await press('Keep it');
    await press('Add something');
    await type('What there is to add', 'It was icy');
    await press('Voice note: press to begin');
    await press('Keep it');
    const voice = expect.objectContaining({ seconds: 7 });
    expect(peekRow('incidents', mine.id)?.notes).toMatchObject([
      { words: '', voice },
      { words: 'It was icy' },
      { words: '', voice },
    ]);
    expect(canPress('Play 0:07')).toBe(true);
  });

  it('takes a photo with what is added, and says that adding opens it again', async () => {
    await open([put('incidents', { ...mine, closed: { at: mine.at, by: lea.id, words: 'Sanded' } })]);
    await works.show(<IncidentScreen incidentId={mine.id} />);
    works.server.signal = 'none';
    await press('Add something');
    expect(words()).toContain('It is closed. What you add opens it again.');
    await press('Photo');
    await type('What there is to add', 'Icy again');
    await press('Keep it');
    expect(peekRow('incidents', mine.id)).toMatchObject({
      notes: [{ words: 'Icy again', photo: { fileId: seen.id } }],
      closed: null,
    });
  });

  it('is closed by a lead with what was done', async () => {
    await open([put('incidents', mine)], lea);
    await works.show(<IncidentScreen incidentId={mine.id} />);
    await press('Close it');
    await type('What was done so that it does not happen again', 'A rail was put up');
    await press('Close the incident');
    expect((await works.sent()).peek('incidents', mine.id)?.closed).toMatchObject({
      by: lea.id,
      words: 'A rail was put up',
    });
    expect(canPress('Close it')).toBe(false);
  });

  it('of others is not even there', async () => {
    await open([put('incidents', anIncident({ readerIds: [bob.id], by: bob.id }))]);
    await works.show(<IncidentScreen incidentId={anIncident().id} />);
    expect(words()).toContain('This incident is not yours to see, or does not exist.');
    await works.show(<IncidentRows />);
    expect(words()).not.toContain('Incidents');
  });

  it('stands in the list, the open ones first, and opens', async () => {
    const closed = anIncident({
      id: asId<IncidentId>('closed'),
      number: 'P-3',
      words: 'Old one',
      closed: { at: mine.at, by: lea.id, words: 'Done' },
    });
    await open([put('incidents', closed), put('incidents', mine)]);
    await works.show(<IncidentRows />);
    expect(words().indexOf(mine.words)).toBeLessThan(words().indexOf('Old one'));
    await press(new RegExp(mine.words), 'link');
    expect(visited.at(-1)).toBe(`/reports/incident/${mine.id}`);
  });

  it('is found by its words, its machine and its number, and all of many are shown on a press', async () => {
    const many = Array.from({ length: 8 }, (_, index) =>
      put('incidents', {
        ...mine,
        id: asId<IncidentId>(`i-${index}`),
        number: `P-${40 + index}`,
        words: `Bolt ${index}`,
      }),
    );
    await open(many);
    await works.show(<IncidentRows />);
    expect(screen.getAllByRole('link')).toHaveLength(5);
    await press('All 8 incidents');
    expect(screen.getAllByRole('link')).toHaveLength(8);
    for (const find of ['bolt 7', 'gearbox P-47']) {
      await works.show(<IncidentRows find={find} />);
      expect(screen.getAllByRole('link').map((link) => link.textContent)).toEqual([expect.stringContaining('Bolt 7')]);
    }
    await works.show(<IncidentRows find="rope" />);
    expect(words()).not.toContain('Incidents');
  });
});

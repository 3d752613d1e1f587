import { formatMoney, money } from '@oilcan/core/kernel';
import { ann, aPart, aPoint, aBin, aStep, binId, noon, partId, pointId, reportId, anEntry } from '@oilcan/core/testing';
import type { EntryContent } from '@oilcan/core/orders/work';
import { entryWords } from './entry-words';

describe('entries in words', () => {
  const names = {
    person: () => ann,
    part: () => aPart(),
    bin: () => aBin(),
    point: () => aPoint(),
    step: () => aStep(3, { type: 'finding' }),
    stop: () => undefined,
    asset: () => undefined,
    stretch: () => '13:00 to 14:30',
    isolationPoint: () => 'Main switch',
    money: formatMoney,
  };
  const words = (content: EntryContent) => Object.values(entryWords(anEntry(content), names, 'en'));
  it.each<[EntryContent, string, string]>([
    [
      {
        kind: 'labor',
        personId: ann.id,
        startedAt: noon,
        minutes: 90,
        timeType: 'regular',
        rate: null,
        cost: money(8_100, 'EUR'),
      },
      '1\u00a0h\u00a030 of work',
      'Regular · 13:00 to 14:30 · €81.00',
    ],
    [
      { kind: 'part', partId, binId, quantity: 2_000, unitPrice: money(3_820, 'EUR'), cost: money(7_640, 'EUR') },
      '2 pcs Seal',
      'SEAL-70, bin C-04 · €76.40',
    ],
    [{ kind: 'reading', pointId, value: 76, level: 'alert' }, 'Oil temperature 76 °C', 'Beyond alert'],
    [
      { kind: 'report', reportId, number: 'P-1', words: 'It drips', reportedAt: noon, reportedBy: ann.id },
      'It drips',
      'P-1 reported by Ann, taken up',
    ],
    [
      { kind: 'report', reportId, number: 'P-1', words: 'It drips', reportedAt: noon, reportedBy: null },
      'It drips',
      'P-1 reported without an account, taken up',
    ],
    [
      {
        kind: 'answer',
        stepId: aStep(3).id,
        answer: { type: 'finding', asFound: 'faulty', asLeft: 'faulty' },
        faulty: { text: 'Step 3', said: '', asLeft: 'faulty' },
      },
      'Step 3',
      'faulty still',
    ],
    [{ kind: 'answer', stepId: aStep(3).id, answer: null, faulty: null }, 'Step 3', 'taken back'],
    [{ kind: 'state', from: 'underway', to: 'held', reason: 'part' }, 'Held', 'Waiting for a part'],
    [{ kind: 'withdrawal', reason: 'twice' }, 'Taken back', 'twice'],
  ])('%j', (content, headline, detail) => {
    expect(words(content)).toEqual([headline, detail]);
  });

  it('say no amount where none may stand', () => {
    const silent = { ...names, money: () => '' };
    const use = { kind: 'part', partId, binId, quantity: 2_000 } as const;
    const priced = { unitPrice: money(3_820, 'EUR'), cost: money(7_640, 'EUR') };
    expect(entryWords(anEntry({ ...use, ...priced }), silent, 'en').detail).toBe('SEAL-70, bin C-04');
  });
});

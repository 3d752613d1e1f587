import { anOperation, aPart, aPoint, aStep, binId, noon, partId, pointId, workId, ann } from '@oilcan/core/testing';
import type { Operation } from '@oilcan/core/operations';
import type { Names } from '../views/names';
import { sayClockAhead } from './clock-words';
import { correctedArgs, correctableFieldsOf } from './corrections';
import { operationWords } from './operation-words';
import { heardNothing, spokenOf } from './spoken';
import { explain, statusOf, type Facts } from './status';

const facts: Facts = {
  contact: 'reached',
  pending: 0,
  sending: 0,
  rejected: 0,
  inAll: 0,
  bringing: null,
  heardAt: '10:42',
};
const onWork = { workOrderId: workId };

describe('the sent mark', () => {
  it.each<[Partial<Facts>, string]>([
    [{}, 'All sent'],
    [{ pending: 7 }, '7 on this phone'],
    [{ pending: 7, sending: 5 }, 'Sending 5'],
    [{ pending: 7, rejected: 1 }, '1 needs you'],
    [{ rejected: 2, contact: 'no-signal' }, '2 need you'],
    [{ contact: 'no-signal' }, 'No signal since 10:42'],
    [{ contact: 'no-signal', heardAt: null }, 'No signal'],
    [{ contact: 'no-signal', pending: 3, sending: 3 }, '3 on this phone'],
    [{ contact: 'signed-out', pending: 3 }, 'Sign in to send'],
    [{ contact: 'older', pending: 3 }, 'Update to send'],
    [{ contact: 'newer', pending: 3 }, '3 on this phone'],
    [{ contact: 'newer' }, 'Server not ready'],
    [{ contact: 'phone-full' }, 'Phone is full'],
    [{ contact: 'phone-failed' }, 'Phone cannot save'],
    [{ pending: 180, sending: 50, inAll: 300 }, 'Sent 120 of 300'],
    [{ bringing: { kept: 12, of: 300 } }, 'Keeping 12 of 300'],
    [{ bringing: { kept: 12, of: 300 }, pending: 3, sending: 3, inAll: 12 }, 'Keeping 12 of 300'],
  ])('says for %j: %s', (given, words) => {
    const status = statusOf({ ...facts, ...given });
    // An icon is the path that draws it: it begins with a move.
    expect([status.words, status.icon[0]]).toEqual([words, 'M']);
  });

  it('explains what happens next', () => {
    expect(explain({ ...facts, contact: 'no-signal', pending: 1 })).toBe(
      'No signal since 10:42. 1 record waits here and goes out by itself. Everything works meanwhile.',
    );
    expect(explain({ ...facts, rejected: 1 })).toContain('Everything else');
    expect(explain({ ...facts, contact: 'newer' })).toContain('once the server is updated');
  });
});

describe('what is spoken of it', () => {
  it('is what was refused, what fails, and that all is well again, each once', () => {
    const run: readonly Partial<Facts>[] = [
      { pending: 1 },
      { pending: 1, sending: 1 },
      {},
      { contact: 'no-signal' },
      { contact: 'no-signal', pending: 1 },
      { contact: 'no-signal', pending: 2 },
      { pending: 2, sending: 2 },
      {},
      { rejected: 1 },
      { rejected: 1, pending: 1 },
      { rejected: 1 },
      {},
      { contact: 'server-trouble' },
      {},
    ];
    let heard = heardNothing;
    const spoken = run.map((given) => {
      const next = spokenOf(heard, { ...facts, ...given });
      heard = next.heard;
      return next.words;
    });
    expect(spoken.filter((words) => words !== null)).toEqual([
      'No signal since 10:42',
      'All sent',
      '1 needs you',
      'Server not ready',
      'All sent',
    ]);
  });
});

describe('a wrong clock', () => {
  it.each([
    [0, null],
    [90_000, null],
    [125 * 60_000, '2\u00a0h\u00a005 ahead'],
    [-3 * 24 * 3_600_000, '3 days behind'],
  ])('of %d ms is said as %s', (ahead, words) => {
    if (words === null) expect(sayClockAhead(ahead)).toBeNull();
    else expect(sayClockAhead(ahead)).toContain(words);
  });
});

describe('what was recorded, in words', () => {
  const nobody = () => undefined;
  const unknown: Names = {
    part: nobody,
    point: nobody,
    step: nobody,
    stop: nobody,
    asset: nobody,
    person: nobody,
    bin: nobody,
    stretch: () => '',
    isolationPoint: () => '',
    money: () => '',
  };
  const names: Names = { ...unknown, part: () => aPart(), point: () => aPoint(), step: () => aStep(3) };
  it.each<[Operation, string, string]>([
    [anOperation('part.use', { ...onWork, partId, binId, quantity: 2_000 }), '2 pcs Seal', '2'],
    [anOperation('reading.add', { ...onWork, pointId, value: 61 }), 'Oil temperature 61 °C', 'Reading 61'],
    [anOperation('step.answer', { ...onWork, stepId: aStep(3).id, answer: null }), 'Step 3', 'A step'],
    [anOperation('note.add', { ...onWork, text: 'Dry' }), 'Dry', 'Dry'],
    [anOperation('work.finish', onWork), 'Finishing', 'Finishing'],
  ])('names it, and does without what is not on this phone', (operation, words, bare) => {
    expect(operationWords(operation, names)).toBe(words);
    expect(operationWords(operation, unknown)).toContain(bare);
  });
});

describe('mending', () => {
  const labor = anOperation('labor.add', {
    ...onWork,
    personId: ann.id,
    startedAt: noon,
    minutes: 90,
    timeType: 'regular',
  });

  it('offers what can be put right, as it was', () => {
    expect(correctableFieldsOf(labor).map(({ label, text }) => [label, text])).toEqual([['How long', '1h30']]);
    const number = { type: 'number', value: 61.5 } as const;
    const answer = anOperation('step.answer', { ...onWork, stepId: aStep(1).id, answer: number });
    expect(correctableFieldsOf(answer).map(({ text }) => text)).toEqual(['61.5']);
    expect(correctableFieldsOf(anOperation('work.finish', onWork))).toEqual([]);
  });

  it('puts what was typed into the arguments and leaves the rest', () => {
    expect(correctedArgs(labor.args, correctableFieldsOf(labor), { minutes: '45m' })).toEqual({
      ok: true,
      args: { ...(labor.args as object), minutes: 45 },
    });
    expect(correctedArgs(labor.args, correctableFieldsOf(labor), {})).toMatchObject({
      ok: true,
      args: { minutes: 90 },
    });
  });

  it('names the field that cannot be read', () => {
    expect(correctedArgs(labor.args, correctableFieldsOf(labor), { minutes: 'long' })).toEqual({
      ok: false,
      path: 'minutes',
    });
  });
});

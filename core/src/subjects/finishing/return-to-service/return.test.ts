import fc from 'fast-check';
import { asId, type EntryId } from '../../../kernel/ids';
import { entryKinds } from '../../../registry/entries';
import { ann, anEntry, anOperation, bob, noon, workId } from '../../../testing/builders';
import { codeOf, minutesLater, Works } from '../../../testing/works';
import { currentOf, type Entry, type EntryContent } from '../../orders/work/entries';
import { hashOf, sealOf, sealStanding } from './seal';

const onWork = { workOrderId: workId };
const path = 'M0 0L9 9';
const note = (text: string): EntryContent => ({ kind: 'note', text });

async function signed(given: object = {}): Promise<{ readonly works: Works; readonly code: string }> {
  const works = new Works({ state: 'underway', personIds: [ann.id, bob.id] });
  await works.send(anOperation('note.add', { ...onWork, text: 'Seal replaced' }));
  const seal = sealOf(entryKinds, works.entries);
  const args = { ...onWork, condition: 'Ready', reservations: 'Run at 3 m/s', name: 'Lukas', path };
  const outcome = await works.do(
    'machine.return',
    { ...args, ...seal, entryIds: [...seal.entryIds], ...given },
    ann,
    minutesLater(5),
  );
  return { works, code: codeOf(outcome) };
}
const standing = (works: Works) => {
  const [returned] = currentOf(works.entries, 'returned');
  if (returned === undefined) throw new Error('Nobody signed.');
  return sealStanding(entryKinds, returned.content.seal, works.entries);
};

describe('giving a machine to maintenance', () => {
  it('says by whom, how it is and where', async () => {
    const works = new Works({ state: 'underway' });
    const given = { ...onWork, from: 'Control room', condition: 'Stopped', where: 'Top station' };
    expect(codeOf(await works.do('machine.give', { ...given, from: ' ' }))).toBe('invalid');
    expect(codeOf(await works.do('machine.give', given))).toBe('accepted');
    expect(currentOf(works.entries, 'given')[0]?.content).toMatchObject({
      from: 'Control room',
      where: 'Top station',
    });
  });
});

describe('a signature for the return to service', () => {
  it('stands for the record as it is, and for nothing else', async () => {
    const { works, code } = await signed();
    expect(code).toBe('accepted');
    expect(standing(works)).toEqual({ amended: 0, added: 0, isBroken: false });
    expect((await signed({ hash: '0'.repeat(64) })).code).toBe('signed_other_record');
    expect((await signed({ entryIds: [asId<EntryId>('gone')] })).code).toBe('signed_other_record');
    expect((await signed({ hash: 'abc' })).code).toBe('invalid');
  });

  it.each([
    ['without a stroke', { path: 'M0 0' }, 'signature_empty'],
    ['that is no drawing', { path: '<svg onload=x>' }, 'signature_no_drawing'],
    ['without a name', { name: ' ' }, 'invalid'],
  ])('%s is refused', async (_, given, code) => {
    expect((await signed(given)).code).toBe(code);
  });

  it('says when an entry that was signed is amended, and when others come', async () => {
    const { works } = await signed();
    const entryId = currentOf(works.entries, 'note')[0]?.id ?? asId<EntryId>('');
    await works.do('note.amend', { ...onWork, entryId, text: 'Seal and sleeve replaced' }, ann, minutesLater(9));
    expect(standing(works)).toEqual({ amended: 1, added: 0, isBroken: false });
    await works.do('note.add', { ...onWork, text: 'Oil filled up' }, bob, minutesLater(10));
    expect(standing(works)).toEqual({ amended: 1, added: 1, isBroken: false });
  });

  it('is the same for whoever may see what time costs and whoever may not', () => {
    const labor = (cost: number | null): EntryContent => ({
      kind: 'labor',
      personId: ann.id,
      startedAt: noon,
      minutes: 60,
      timeType: 'regular',
      tradeId: 'mechanical',
      rate: null,
      cost: cost === null ? null : { minor: cost, currency: 'EUR' },
    });
    expect(hashOf(entryKinds, [anEntry(labor(6_000))])).toBe(hashOf(entryKinds, [anEntry(labor(null))]));
  });
});

describe('the hash of a record', () => {
  it('is SHA-256 of its entries, whose fields may come in any order', () => {
    const entry = anEntry(note('x'), { id: asId<EntryId>('e') });
    // By sha256sum of GNU coreutils, of this very text: [{"at":"2026-11-23T11:00:00.000Z","by":"ann","content":{"kind":"note","text":"x"},"id":"e"}]
    const hash = 'f33928f04f315ed3a8cd6f839f60cafcaf8a6c4c19a65e9af9b8e6a4ac221235';
    expect(hashOf(entryKinds, [entry])).toBe(hash);
    const turned = { ...entry, content: { text: 'x', kind: 'note' } as EntryContent };
    expect(hashOf(entryKinds, [turned])).toBe(hashOf(entryKinds, [entry]));
  });

  it('is another for any other letter', () => {
    const of = (texts: readonly string[]): string =>
      hashOf(
        entryKinds,
        texts.map((text, index): Entry => anEntry(note(text), { id: asId<EntryId>(`e-${index}`) })),
      );
    fc.assert(
      fc.property(
        fc.array(fc.string(), { minLength: 1, maxLength: 5 }),
        fc.nat(4),
        fc.string({ minLength: 1 }),
        (texts, at, more) => {
          const changed = texts.map((text, index) => (index === at % texts.length ? text + more : text));
          expect(of(changed)).not.toBe(of(texts));
        },
      ),
    );
  });
});

import { asId, type AssetId, type EntryId } from '../../../kernel/ids';
import type { ArgsOf } from '../../../registry/operations';
import { anAsset, assetId, bob, put, workId } from '../../../testing/builders';
import { codeOf, minutesLater, Works } from '../../../testing/works';
import { currentOf } from '../../orders/work/entries';
import { faultCatalogue } from './catalogue';
import { causes, detections, failureModes, mechanisms } from './codes';
import { faultChoices, findFaults, usualFaults } from './find-faults';
import { plainWords } from './plain-words';

const onWork = { workOrderId: workId };
const leak = (given: Partial<ArgsOf<'fault.add'>> = {}): ArgsOf<'fault.add'> => ({
  ...onWork,
  assetId: null,
  component: 'Output shaft seal',
  mode: 'ELU',
  mechanism: null,
  cause: null,
  detection: 8,
  activity: null,
  text: '',
  ...given,
});
const standing = (works: Works) => currentOf(works.entries, 'fault');

describe('a fault', () => {
  it('is recorded with what is known of it, and the rest later; the old one stays readable', async () => {
    const works = new Works();
    expect(codeOf(await works.do('fault.add', leak()))).toBe('accepted');
    const [entry] = standing(works);
    expect(entry?.content).toMatchObject({ mode: 'ELU', mechanism: '', cause: '', detection: 8, activity: null });
    const { workOrderId: _, assetId: __, ...coded } = leak({ cause: '3.4', mechanism: '2.4', activity: 1 });
    const amended = { ...onWork, entryId: entry?.id ?? asId<EntryId>('none'), ...coded };
    expect(codeOf(await works.do('fault.amend', amended))).toBe('accepted');
    expect(standing(works).map(({ content }) => [content.cause, content.activity])).toEqual([['3.4', 1]]);
    expect(works.entries).toHaveLength(2);
  });

  it('is on the machine of the job or a part of it, and on no other', async () => {
    const works = new Works();
    const [part, other] = [asId<AssetId>('part'), asId<AssetId>('other')];
    works.records.change([
      put('assets', anAsset({ id: part, parentId: assetId })),
      put('assets', anAsset({ id: other })),
    ]);
    expect(codeOf(await works.do('fault.add', leak({ assetId: part })))).toBe('accepted');
    expect(standing(works)[0]?.assetId).toBe(part);
    expect(codeOf(await works.do('fault.add', leak({ assetId: other })))).toBe('machine_not_of_job');
    expect(codeOf(await works.do('fault.add', leak({ assetId: asId<AssetId>('gone') })))).toBe('not_found');
  });

  it('has codes of the standard only, and is recorded by whoever has the job', async () => {
    const works = new Works();
    const wrong = [
      leak({ mode: 'XYZ' as 'ELU' }),
      leak({ mechanism: '9.9' }),
      leak({ cause: '' }),
      leak({ detection: 12 }),
      leak({ activity: 0 }),
    ];
    const codes: string[] = [];
    for (const each of wrong) codes.push(codeOf(await works.do('fault.add', each)));
    expect(codes).toEqual(Array<string>(wrong.length).fill('invalid'));
    expect(codeOf(await works.do('fault.add', leak(), bob))).toBe('work_order_not_yours');
  });
});

describe('the codes', () => {
  it('are those of ISO 14224:2016, annex B (memory)', () => {
    const modes = 'AIR BRD ELP ELU ERO FTS STP HIO LOO INL NOI OHE PDE PLU SER STD UST VIB OTH UNK'.split(' ');
    expect(Object.keys(failureModes)).toEqual(expect.arrayContaining(modes));
    const groups = (codes: object): string[] => [
      ...new Set(Object.keys(codes).map((code) => code.split('.')[0] ?? '')),
    ];
    expect([groups(mechanisms), groups(causes)]).toEqual([
      ['1', '2', '3', '4', '5', '6'],
      ['1', '2', '3', '4', '5'],
    ]);
    expect([detections[1], detections[8]]).toEqual(['At periodic maintenance', 'By chance']);
  });

  it('have words that people say, each; and the catalogue names only modes of the standard', () => {
    expect(Object.keys(plainWords).sort()).toEqual(Object.keys(failureModes).sort());
    const named = Object.values(faultCatalogue).flatMap((parts) => Object.values(parts).flat());
    expect(named.filter((mode) => !(mode in failureModes))).toEqual([]);
  });
});

describe('finding a fault', () => {
  const choices = faultChoices('gearbox');
  const found = (typed: string): string[] =>
    findFaults(choices, typed).map(({ component, mode }) => `${component} ${mode}`);

  it('in plain words finds the modes that are meant: “leaks” both external leakages and the internal one', () => {
    const modes = new Set(findFaults(choices, 'leaks').map(({ mode }) => mode));
    expect([...modes].sort()).toEqual(['ELP', 'ELU', 'INL']);
    for (const typed of ['leak', 'LEAKING', 'leakage']) expect(found(typed)).toEqual(found('leaks'));
  });

  it('takes the words of the part and the code too, all of them, and every choice for none', () => {
    expect(found('output seal')[0]).toBe('Output shaft seal ELU');
    expect(found('bearing hot')).toEqual(['Bearing OHE']);
    expect(found('vib')).toEqual(['Bearing VIB', ' VIB']);
    expect(found('purple elephant')).toEqual([]);
    expect(found('  ')).toHaveLength(choices.length);
  });

  it('has the parts of the class first, and every mode of the machine as a whole', () => {
    expect(choices[0]).toEqual({ component: 'Output shaft seal', mode: 'ELU' });
    expect(choices.filter(({ component }) => component === '')).toHaveLength(Object.keys(failureModes).length);
    expect(faultChoices('something new')).toHaveLength(Object.keys(failureModes).length);
  });

  it('has what the machine usually had first, with the codes of the last time', () => {
    const had = (component: string, mode: string, activity: number) => ({
      component,
      mode,
      mechanism: '2.4',
      cause: '3.4',
      detection: 8,
      activity,
    });
    const faults = [
      { at: minutesLater(3), fault: had('Bearing', 'NOI', 1) },
      { at: minutesLater(1), fault: had('Output seal', 'ELU', 2) },
      { at: minutesLater(2), fault: had('output seal', 'ELU', 1) },
      { at: minutesLater(4), fault: had('Fan', 'VIB', 4) },
    ];
    expect(
      usualFaults(faults).map(({ component, mode, count, activity }) => [component, mode, count, activity]),
    ).toEqual([
      ['output seal', 'ELU', 2, 1],
      ['Fan', 'VIB', 1, 4],
      ['Bearing', 'NOI', 1, 1],
    ]);
  });
});

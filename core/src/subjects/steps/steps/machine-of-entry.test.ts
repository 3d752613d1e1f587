import { asId, type AssetId, type FileId, type StopId } from '../../../kernel/ids';
import type { Step } from './step';
import { anAsset, ann, aStep, aStop, assetId, binId, noon, partId, put, workId } from '../../../testing/builders';
import { codeOf, minutesLater, Works } from '../../../testing/works';

const pump = asId<AssetId>('asset-2');
const seal = asId<AssetId>('asset-2-seal');
const elsewhere = asId<AssetId>('asset-9');
const onWork = { workOrderId: workId };
const step: Step = aStep(1, { type: 'finding' }, { stopId: asId<StopId>('stop-2') });
const picture = { fileId: asId<FileId>('a'.repeat(64)), width: 4, height: 4 };
const fault = { mode: 'ELP', mechanism: null, cause: null, detection: 3, activity: null, component: '', text: '' };

/** A round named after one machine, with a stop at another. */
function round(): Works {
  const works = new Works({}, [step]);
  works.records.change([
    put('assets', anAsset({ id: pump, tag: 'P-2' })),
    put('assets', anAsset({ id: seal, tag: 'P-2-S', parentId: pump })),
    put('assets', anAsset({ id: elsewhere, tag: 'P-9' })),
    put('stops', aStop({ id: asId<StopId>('stop-2'), assetId: pump })),
  ]);
  return works;
}

/** Everything that is recorded at a machine, by what it is called. */
const deeds: Readonly<Record<string, (works: Works, at: AssetId | undefined) => Promise<unknown>>> = {
  note: (works, at) => works.do('note.add', { ...onWork, text: 'Drips', stepId: undefined, assetId: at }),
  photo: (works, at) =>
    works.do('photo.add', {
      ...onWork,
      ...picture,
      mediaType: 'image/jpeg',
      caption: '',
      taken: undefined,
      stepId: undefined,
      assetId: at,
    }),
  voice: (works, at) =>
    works.do('voice.add', { ...onWork, assetId: at, fileId: picture.fileId, mediaType: 'audio/webm', seconds: 3 }),
  file: (works, at) =>
    works.do('file.add', {
      ...onWork,
      assetId: at,
      fileId: picture.fileId,
      mediaType: 'application/pdf',
      name: 'Sheet',
      bytes: 9,
    }),
  fault: (works, at) => works.do('fault.add', { ...onWork, ...fault, mode: 'ELP', assetId: at ?? null }),
  part: (works, at) => works.do('part.use', { ...onWork, partId, binId, quantity: 1000, assetId: at }),
};

const machines = (works: Works, kind: string): AssetId[] =>
  works.entries.filter(({ content }) => content.kind === kind).map((entry) => entry.assetId);

describe('the machine of an entry on a round', () => {
  it.each(Object.entries(deeds))(
    '%s: the one that was named, else that of the job; none of another job',
    async (kind, record) => {
      const works = round();
      expect(codeOf((await record(works, pump)) as never)).toBe('accepted');
      expect(codeOf((await record(works, seal)) as never)).toBe('accepted');
      expect(codeOf((await record(works, undefined)) as never)).toBe('accepted');
      expect(codeOf((await record(works, elsewhere)) as never)).toBe('machine_not_of_job');
      expect(machines(works, kind)).toEqual([pump, seal, assetId]);
    },
  );

  it('is that of the stop of its step, for whatever is said at a step', async () => {
    const works = round();
    const atStep = { ...onWork, stepId: step.id };
    await works.do('note.add', { ...atStep, text: 'Drips', assetId: undefined });
    await works.do('step.answer', { ...atStep, answer: { type: 'finding', asFound: 'faulty', asLeft: 'faulty' } });
    const time = { personId: ann.id, startedAt: noon, minutes: 5, timeType: 'regular' } as const;
    await works.do('labor.add', { ...atStep, ...time }, ann, minutesLater(10));
    const said = works.entries.filter(({ content }) => content.kind !== 'state');
    expect(said.map((entry) => [entry.content.kind, entry.assetId])).toEqual([
      ['note', pump],
      ['answer', pump],
      ['labor', pump],
    ]);
  });

  it('is for what goes back the one for which it was taken', async () => {
    const works = round();
    await works.do('part.use', { ...onWork, partId, binId, quantity: 2000, assetId: pump });
    await works.do('part.return', { ...onWork, partId, binId, quantity: 1000 });
    expect(machines(works, 'part')).toEqual([pump, pump]);
  });
});

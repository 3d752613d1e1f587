import { asId, type EntryId, type FileId } from '../../../kernel/ids';
import { anAsset, ann, assetId, bob, lea, otherSite, put, workId } from '../../../testing/builders';
import { codeOf, minutesLater, Works } from '../../../testing/works';
import { currentOf } from '../../orders/work/entries';

const onWork = { workOrderId: workId };
const [first, second] = ['a', 'b'].map((letter) => asId<FileId>(letter.repeat(64))) as [FileId, FileId];
const photo = { ...onWork, fileId: first, mediaType: 'image/jpeg' as const, width: 4, height: 3, caption: 'Seal' };
const voice = { ...onWork, fileId: first, mediaType: 'audio/webm' as const, seconds: 12 };
const file = { ...onWork, fileId: first, mediaType: 'application/pdf' as const, name: 'Certificate.pdf', bytes: 900 };
const onlyEntry = (works: Works): EntryId => works.entries[0]?.id ?? asId<EntryId>('none');

describe('a voice note', () => {
  it('is recorded with how long it is, at most ten minutes', async () => {
    const works = new Works();
    expect(codeOf(await works.do('voice.add', voice))).toBe('accepted');
    expect(codeOf(await works.do('voice.add', { ...voice, seconds: 7_200 }))).toBe('invalid');
    expect(codeOf(await works.do('voice.add', { ...voice, seconds: 0 }))).toBe('invalid');
    expect(currentOf(works.entries, 'voice').map(({ content }) => content.seconds)).toEqual([12]);
  });

  it('is of sound, and a file of what is taken', async () => {
    const works = new Works();
    expect(codeOf(await works.do('voice.add', { ...voice, mediaType: 'application/pdf' as never }))).toBe('invalid');
    expect(codeOf(await works.do('file.add', { ...file, mediaType: 'text/html' as never }))).toBe('invalid');
    expect(codeOf(await works.do('file.add', { ...file, bytes: 80 * 1024 * 1024 }))).toBe('invalid');
    expect(codeOf(await works.do('file.add', file))).toBe('accepted');
  });
});

describe('a photo', () => {
  it('that was drawn on keeps the one that was taken, however often it is drawn on', async () => {
    const works = new Works();
    await works.do('photo.add', { ...photo, taken: 'before' });
    const draw = (entryId: EntryId, fileId: FileId, at: string) =>
      works.do('photo.draw', { ...onWork, entryId, fileId, mediaType: 'image/jpeg', width: 8, height: 6 }, ann, at);
    expect(codeOf(await draw(onlyEntry(works), second, minutesLater(1)))).toBe('accepted');
    const drawn = currentOf(works.entries, 'photo')[0];
    expect(drawn?.content).toMatchObject({ fileId: second, originalFileId: first, caption: 'Seal', taken: 'before' });
    const third = asId<FileId>('c'.repeat(64));
    await draw(drawn?.id ?? onlyEntry(works), third, minutesLater(2));
    expect(currentOf(works.entries, 'photo')[0]?.content).toMatchObject({ fileId: third, originalFileId: first });
    expect(works.entries).toHaveLength(3);
  });

  it('has its words amended, and is drawn on by nobody else', async () => {
    const works = new Works({ personIds: [ann.id, bob.id] });
    await works.do('photo.add', photo);
    const on = { ...onWork, entryId: onlyEntry(works) };
    expect(codeOf(await works.do('photo.amend', { ...on, caption: 'Other' }, bob))).toBe('entry_of_another');
    expect(codeOf(await works.do('photo.amend', { ...on, caption: 'Shaft seal' }))).toBe('accepted');
    expect(currentOf(works.entries, 'photo')[0]?.content.caption).toBe('Shaft seal');
  });
});

describe('what belongs to a machine from then on', () => {
  it('is a photo of a job as its picture', async () => {
    const works = new Works();
    await works.do('photo.add', photo);
    const args = { ...onWork, entryId: onlyEntry(works), assetId };
    expect(codeOf(await works.do('asset.set-picture', args))).toBe('accepted');
    expect(works.records.peek('assets', assetId)?.picture).toEqual({
      fileId: first,
      mediaType: 'image/jpeg',
      width: 4,
      height: 3,
    });
  });

  it('is a file of a job among its documents, once', async () => {
    const works = new Works();
    await works.do('file.add', file);
    const args = { ...onWork, entryId: onlyEntry(works), assetId };
    await works.do('asset.keep-document', args);
    expect(codeOf(await works.do('asset.keep-document', args, lea, minutesLater(1)))).toBe('accepted');
    expect(works.records.peekAll('documents')).toMatchObject([{ assetId, name: 'Certificate.pdf', fileId: first }]);
  });

  it('is nothing else, and of no machine of another site', async () => {
    const works = new Works();
    await works.do('voice.add', voice);
    const args = { ...onWork, entryId: onlyEntry(works), assetId };
    expect(codeOf(await works.do('asset.set-picture', args))).toBe('not_found');
    expect(codeOf(await works.do('asset.keep-document', args))).toBe('not_found');
    await works.do('photo.add', photo, ann, minutesLater(1));
    const far = anAsset({ id: asId<never>('far'), siteId: otherSite });
    works.records.change([put('assets', far)]);
    const ofPhoto = { ...onWork, entryId: currentOf(works.entries, 'photo')[0]?.id ?? onlyEntry(works) };
    expect(codeOf(await works.do('asset.set-picture', { ...ofPhoto, assetId: far.id }))).toBe('not_found');
  });
});

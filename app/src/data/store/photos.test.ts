import { asId, type FileId } from '@oilcan/core/kernel';
import { ann, workId } from '@oilcan/core/testing';
import type { Phone } from '../phone/phone';
import { TestPhones } from '../testing/phones';
import type { TestServer } from '../testing/test-server';

describe('photos', () => {
  let phones: TestPhones;
  let server: TestServer;
  beforeEach(async () => {
    phones = await TestPhones.open();
    server = phones.server;
  });
  afterEach(() => server.close());

  const content = new Uint8Array(600 * 1024).fill(7);
  const fileId = asId<FileId>('a'.repeat(64));
  const photo = { workOrderId: workId, fileId, mediaType: 'image/jpeg' as const, width: 4, height: 3, caption: 'seal' };
  const keep = (phone: Phone, id: FileId = fileId) =>
    phone.files.keep(
      { id, mediaType: 'image/jpeg', bytes: content.length, by: ann.id, isSent: false, keptAt: phone.clock.now() },
      content,
    );

  it('go to the server before the record that names them, in pieces that go on where they stopped', async () => {
    const phone = await phones.of(ann);
    await phone.synchronize();
    await keep(phone);
    await phone.perform('photo.add', photo);
    await phone.perform('note.add', { workOrderId: workId, text: 'small things first' });
    server.piecesUntilCut = 1;
    await phone.synchronize();
    expect([phone.contact, phone.kept.map(({ where }) => where)]).toEqual(['no-signal', ['pending']]);
    expect(server.records.peekAll('entries').map(({ content: { kind } }) => kind)).toEqual(['note']);
    expect(server.files.get(fileId)).toHaveLength(256 * 1024);
    server.piecesUntilCut = 9;
    await phone.synchronize();
    expect([server.piecesUntilCut, phone.kept, server.records.peekAll('entries').length]).toEqual([7, [], 2]);
    expect(Buffer.compare(Buffer.from(server.files.get(fileId) ?? []), content)).toBe(0);
  });

  it('hold up what names them, and nothing else', async () => {
    const phone = await phones.of(ann);
    await phone.synchronize();
    await keep(phone);
    await phone.perform('photo.add', photo);
    const entryId = asId<never>(phone.kept[0]?.operation.id ?? '');
    expect(await phone.perform('entry.withdraw', { workOrderId: workId, entryId, reason: 'blurred' })).toEqual({
      ok: true,
    });
    await phone.perform('work.start', { workOrderId: workId });
    server.piecesUntilCut = 0;
    await phone.synchronize();
    expect(phone.kept.filter(({ where }) => where === 'pending').map(({ operation }) => operation.name)).toEqual([
      'photo.add',
      'entry.withdraw',
    ]);
    server.piecesUntilCut = 9;
    await phone.synchronize();
    expect(phone.kept).toEqual([]);
  });

  it('that the server lost are sent again', async () => {
    const phone = await phones.of(ann);
    await phone.synchronize();
    await keep(phone);
    await phone.synchronize();
    server.failure = () => null;
    await phone.perform('photo.add', photo);
    await phone.synchronize();
    expect(await phone.files.read(fileId)).toHaveLength(content.length);
    expect(server.files.get(fileId)).toHaveLength(content.length);
  });
});

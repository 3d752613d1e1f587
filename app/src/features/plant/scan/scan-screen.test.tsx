import { asId, OilcanError, type AssetId } from '@oilcan/core/kernel';
import type { Change } from '@oilcan/core/records';
import { anAsset, ann, assetId, noon, put, site, smallWorks } from '@oilcan/core/testing';
import { camera, ScannerFailed, type ScannerTrouble } from '../../../data/scanner/scanner';
import { visited } from '../../../testing/router';
import { canPress, press, type, words } from '../../../testing/hands';
import { TestWorks } from '../../../testing/works';
import { ScanScreen } from './scan-screen';

const start = jest.spyOn(camera, 'start');
let works: TestWorks;
/** With a camera that sees this, or has this trouble. */
const open = async (seen: string | ScannerTrouble | null, rows: readonly Change[] = smallWorks()): Promise<void> => {
  start.mockImplementation(async (_, onCode) => {
    if (seen === 'refused' || seen === 'absent' || seen === 'busy') throw new ScannerFailed(seen);
    if (seen !== null) onCode(seen);
    return () => undefined;
  });
  works = await TestWorks.open(rows);
  await works.show(<ScanScreen given={undefined} />);
};
afterEach(() => works.close());

describe('scanning', () => {
  it.each([
    ['a1', `/plant/${assetId}`],
    ['W-1', '/shift/w-1'],
    ['SEAL-70', '/stores/part/part'],
  ])('%s opens what it is on', async (code, path) => {
    await open(code);
    expect(visited.at(-1)).toBe(path);
  });

  it('takes what is typed just as well', async () => {
    await open(null);
    expect(canPress('Open')).toBe(false);
    await type('Or type the code', ' a1 ');
    await press('Open');
    expect(visited.at(-1)).toBe(`/plant/${assetId}`);
  });

  it.each([
    ['refused', 'Oilcan may not use the camera.'],
    ['absent', 'No camera can be used here.'],
    ['busy', 'Another application uses the camera.'],
  ] as const)('says what to do when the camera is %s', async (trouble, sentence) => {
    await open(trouble);
    expect(words()).toContain(sentence);
    expect(words()).toContain('Or type the code');
  });

  it('binds an unknown label to a machine in two presses', async () => {
    await open('LABEL-7');
    expect(words()).toContain('LABEL-7 is not known');
    expect(words()).toContain('No machine of your sites has this label.');
    await press(/^Gearbox/, 'radio');
    await press('Bind it to Gearbox');
    expect((await works.sent()).peek('codes', 'LABEL-7')).toMatchObject({ assetId, by: ann.id });
    expect([visited.at(-1), works.said]).toEqual([`/plant/${assetId}`, 'LABEL-7 belongs to Gearbox now.']);
  });

  it('binds any machine of the site, once it was found', async () => {
    const pump = anAsset({ id: asId<AssetId>('pump'), tag: 'P9', name: 'Pump' });
    await open('LABEL-7', [...smallWorks(), put('assets', pump)]);
    expect(canPress(/^Pump/, 'radio')).toBe(false);
    await type('Find the machine', 'p9');
    await press(/^Pump/, 'radio');
    await press('Bind it to Pump');
    expect(visited.at(-1)).toBe('/plant/pump');
  });

  it('leads to the machine that a label was bound to', async () => {
    const bound = { id: 'LABEL-7', siteId: site, assetId, by: ann.id, at: noon, previous: [] };
    await open('label-7', [...smallWorks(), put('codes', bound)]);
    expect(visited.at(-1)).toBe(`/plant/${assetId}`);
  });

  it('says that a label belongs elsewhere, and not where', async () => {
    await open(null);
    works.labels.set('LABEL-8', new OilcanError('other_site'));
    await type('Or type the code', 'LABEL-8');
    await press('Open');
    expect(words()).toContain('This belongs to a site that you do not have.');
    await press('Scan another');
    expect(words()).toContain('Or type the code');
  });

  it('says without signal that it cannot ask', async () => {
    await open(null);
    works.server.signal = 'none';
    await type('Or type the code', 'LABEL-9');
    await press('Open');
    expect(words()).toContain('This phone does not know it, and without signal it cannot ask.');
  });

  it('says what was read of a damaged code', async () => {
    await open('\u0000\u0001');
    expect(words()).toContain('This is not a code that a label can have.');
    await press('Scan again');
    expect(canPress('Scan again')).toBe(true);
  });
});

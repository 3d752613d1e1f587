import { lea, smallWorks } from '@oilcan/core/testing';
import { press, settled, words } from '../../../testing/hands';
import { TestWorks } from '../../../testing/works';
import { CatalogueSheet } from './catalogue-sheet';

let works: TestWorks;
const onClose = jest.fn();
beforeEach(async () => {
  onClose.mockReset();
  works = await TestWorks.open(smallWorks(), lea);
  await works.show(<CatalogueSheet onClose={onClose} />);
});
afterEach(() => {
  jest.restoreAllMocks();
  return works.close();
});

/** Gives this file to whatever asks for one next. */
function chooseFile(content: string): void {
  const file = { text: () => Promise.resolve(content) } as File;
  jest.spyOn(HTMLInputElement.prototype, 'click').mockImplementation(function click(this: HTMLInputElement) {
    Object.defineProperty(this, 'files', { value: [file] });
    this.dispatchEvent(new Event('change'));
  });
}

it('reads a catalogue in once all of its lines can be read', async () => {
  chooseFile('\uFEFFClass,Part,Mode\r\ngearbox,Hopper,PLU\r\ngearbox,Hopper,NONE\r\n');
  await press('Read a CSV in');
  await settled();
  expect(words()).toContain('1 line can be read, 1 cannot.');
  expect(words()).toContain('Line 3 has a failure mode that ISO 14224 does not know: gearbox, Hopper, NONE');
  chooseFile('Class,Part,Mode\ngearbox,Hopper,PLU\npump,"Seal, inner",elp\n');
  await press('Read a CSV in');
  await settled();
  await press('Take these 2 lines');
  expect(onClose).toHaveBeenCalled();
  expect((await works.sent()).peek('settings', 'settings')?.faultCatalogue).toEqual({
    gearbox: { Hopper: ['PLU'] },
    pump: { 'Seal, inner': ['ELP'] },
  });
});

it('says of a file without lines what to do', async () => {
  chooseFile('');
  await press('Read a CSV in');
  await settled();
  expect(words()).toContain('This file has no lines. Save the catalogue first and change that file.');
});

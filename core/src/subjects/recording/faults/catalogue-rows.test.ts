import fc from 'fast-check';
import { ann, lea, someSettings } from '../../../testing/builders';
import { codeOf, Works } from '../../../testing/works';
import { faultCatalogue } from './catalogue';
import { catalogueModes, catalogueOf, readCatalogue, rowsOfCatalogue, type CatalogueRow } from './catalogue-rows';
import { faultChoices } from './find-faults';

const seal: CatalogueRow = { equipmentClass: 'gearbox', component: 'Shaft seal', mode: 'ELU' };

describe('a catalogue of faults', () => {
  it('is the same after it was written as lines and read in', () => {
    const cells = rowsOfCatalogue(faultCatalogue).map(({ equipmentClass, component, mode }) => [
      equipmentClass,
      component,
      mode,
    ]);
    const { rows, bad } = readCatalogue(cells);
    expect([bad, catalogueOf(rows)]).toEqual([[], faultCatalogue]);
  });

  it('keeps each line once, in whatever order and however often they come', () => {
    const row = fc.record({
      equipmentClass: fc.constantFrom('gearbox', 'pump'),
      component: fc.constantFrom('Seal', 'Bearing', '__proto__'),
      mode: fc.constantFrom(...catalogueModes),
    });
    fc.assert(
      fc.property(fc.array(row, { maxLength: 30 }), (rows) => {
        const lines = (some: readonly CatalogueRow[]) => new Set(some.map((each) => JSON.stringify(each)));
        const again = rowsOfCatalogue(catalogueOf(rows));
        expect(lines(again)).toEqual(lines(rows));
        expect(again).toHaveLength(lines(rows).size);
      }),
    );
  });

  it('names every line that cannot be read, and why', () => {
    const { rows, bad } = readCatalogue([
      ['gearbox', 'Shaft seal', 'elu'],
      ['', 'Seal', 'ELU'],
      ['gearbox', ' ', 'ELU'],
      ['gearbox', 'Seal', ''],
      ['gearbox', 'Seal', 'LEAK'],
      ['x'.repeat(81), 'Seal', 'ELU'],
      ['', '', ''],
    ]);
    expect(rows).toEqual([seal]);
    expect(bad.map(({ line, because }) => `${line} ${because}`)).toEqual([
      '3 noClass',
      '4 noComponent',
      '5 noMode',
      '6 unknownMode',
      '7 tooLong',
    ]);
  });

  it('is set by a lead, and what it has is offered first from then on', async () => {
    const works = new Works();
    const hopper: CatalogueRow = { equipmentClass: 'gearbox', component: 'Hopper', mode: 'PLU' };
    expect(codeOf(await works.do('faults.set-catalogue', { rows: [hopper] }, ann))).toBe('role_missing');
    expect(codeOf(await works.do('faults.set-catalogue', { rows: [hopper] }, lea))).toBe('accepted');
    const { faultCatalogue: own } = works.records.peek('settings', 'settings') ?? someSettings();
    expect(faultChoices('gearbox', own)[0]).toEqual({ component: 'Hopper', mode: 'PLU' });
    await works.do('faults.set-catalogue', { rows: [] }, lea);
    expect(works.records.peek('settings', 'settings')?.faultCatalogue).toBeUndefined();
  });
});

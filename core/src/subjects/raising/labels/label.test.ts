import { tables } from '../../../registry/tables';
import fc from 'fast-check';
import { asId, type AssetId } from '../../../kernel/ids';
import { applyOperation } from '../../../registry/operations';
import { MemoryRecords } from '../../../records/memory-records';
import { anAsset, ann, anOperation, assetId, noon, otherSite, put, smallWorks } from '../../../testing/builders';
import { binCode, labelText, readCode } from '../../plant/plant/label-code';
import { documentTypeOf } from '../../plant/documents/documents';
import { sideAt } from '../../../testing/works';

describe('a code', () => {
  it('is read out of our own label, whichever server printed it', () => {
    expect(readCode(labelText('https://oilcan.example', 'LRK-G1'))).toBe('LRK-G1');
    expect(readCode('http://10.0.0.7:4870/code/GUN%2014')).toBe('GUN 14');
    expect(readCode(labelText('https://x', binCode('Base store', 'C-04')))).toBe('BIN:BASE STORE:C-04');
  });

  it('is what was typed or scanned, without case and outer blanks', () => {
    expect([readCode(' lrk-g1 '), readCode('A 12   34')]).toEqual(['LRK-G1', 'A 12 34']);
  });

  it('may be the address on a label of the maker', () => {
    expect(readCode('https://maker.example/s?n=77')).toBe('HTTPS://MAKER.EXAMPLE/S?N=77');
    expect(readCode('https://x/code/%E0%A4%A')).toBe('HTTPS://X/CODE/%E0%A4%A');
  });

  it.each(['', '   ', '\u0000', 'LRK\nG1\u0007', 'x'.repeat(129), '–'])('is not %j', (text) => {
    expect(readCode(text)).toBeNull();
  });

  it('comes back from its label as it was', () => {
    const char = fc.constantFrom(...'ABCXYZ0123456789-./+ _');
    fc.assert(
      fc.property(fc.array(char, { minLength: 1, maxLength: 30 }), (chars) => {
        const code = readCode(chars.join(''));
        if (code !== null) expect(readCode(labelText('https://o.example', code))).toBe(code);
      }),
    );
  });
});

describe('binding a code', () => {
  const other = asId<AssetId>('other');
  const bind = async (code: string, to: AssetId): Promise<string> => {
    const { outcome, changes } = await applyOperation(
      records,
      anOperation('code.bind', { code, assetId: to }),
      ann,
      sideAt(noon),
    );
    records.change(changes);
    return outcome.ok ? 'accepted' : outcome.code;
  };
  const records = new MemoryRecords(tables);
  records.change([
    ...smallWorks(),
    put('assets', anAsset({ id: other, name: 'Pump' })),
    put('assets', anAsset({ id: asId<AssetId>('far'), siteId: otherSite })),
  ]);

  it('is done once, and again for the same asset, and for no other', async () => {
    expect([await bind('ab 12', assetId), await bind('AB 12', assetId)]).toEqual(['accepted', 'accepted']);
    expect(await bind('ab 12', other)).toBe('code_bound');
    expect(await records.get('codes', 'AB 12')).toMatchObject({ assetId, by: ann.id });
  });

  it('refuses what is no code, and assets that are not there', async () => {
    expect(await bind('\u0000', assetId)).toBe('control_characters');
    expect(await bind('Müller 7', assetId)).toBe('code_unreadable');
    expect(await bind('BIN:BASE:C-04', assetId)).toBe('code_of_other_kind');
    expect(await bind('X1', asId<AssetId>('none'))).toBe('not_found');
    expect(await bind('X1', asId<AssetId>('far'))).toBe('not_found');
  });
});

describe('the type of a document', () => {
  const of = (text: string) => documentTypeOf(new TextEncoder().encode(text), null);
  it('is told by its first bytes, not by its name', () => {
    expect(of('%PDF-1.7\n')).toBe('application/pdf');
    expect(of('<?xml version="1.0"?>\n<!-- a drawing -->\n<svg xmlns="…">')).toBe('image/svg+xml');
    expect([of('<html><svg>'), of('PK\u0003\u0004'), of('')]).toEqual([null, null, null]);
  });
});

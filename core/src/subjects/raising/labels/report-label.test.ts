import fc from 'fast-check';
import { asId, type SiteId } from '../../../kernel/ids';
import { anAsset, assetId, bob, lea, otherSite, put } from '../../../testing/builders';
import { codeOf, Works } from '../../../testing/works';
import { isCodeOfOtherKind, keyInCode, readCode, reportLabelText } from '../../plant/plant/label-code';
import { isLabelKey, LABEL_KEY_LENGTH, labelKeyFrom } from './report-label';

const key = labelKeyFrom(Uint8Array.from({ length: LABEL_KEY_LENGTH }, (_, index) => index * 7));

describe('a label to report by', () => {
  it('has a key that is one whatever bytes were drawn, and is read back from its address', () =>
    fc.assert(
      fc.property(fc.uint8Array({ minLength: LABEL_KEY_LENGTH, maxLength: LABEL_KEY_LENGTH }), (bytes) => {
        const drawn = labelKeyFrom(bytes);
        expect(isLabelKey(drawn)).toBe(true);
        const code = readCode(reportLabelText('https://oilcan.example', drawn));
        expect(code !== null && isCodeOfOtherKind(code)).toBe(true);
        expect(keyInCode(code ?? '')).toBe(drawn);
      }),
    ));

  it.each(['', 'short', `${key}0`, key.toLowerCase(), `${key.slice(1)}U`, `${key.slice(1)}-`])(
    '“%s” is no key',
    async (text) => {
      expect(isLabelKey(text)).toBe(false);
      expect(codeOf(await new Works().do('report-label.open', { key: text, assetId, placeId: null }))).toBe('invalid');
    },
  );

  it('belongs to one machine for good, and a lead withdraws it', async () => {
    const works = new Works();
    const opening = { key, assetId, placeId: null };
    expect(codeOf(await works.do('report-label.open', opening))).toBe('accepted');
    expect(codeOf(await works.do('report-label.open', opening))).toBe('code_taken');
    expect(codeOf(await works.do('report-label.withdraw', { key }, bob))).toBe('role_missing');
    expect(codeOf(await works.do('report-label.withdraw', { key }, lea))).toBe('accepted');
    expect(works.records.peek('reportLabels', key)?.withdrawn).toMatchObject({ by: lea.id });
  });

  it('is of nobody’s machine elsewhere', async () => {
    const works = new Works();
    works.records.change([put('assets', anAsset({ siteId: otherSite }))]);
    expect(codeOf(await works.do('report-label.open', { key, assetId, placeId: null }))).toBe('not_found');
    const elsewhere = { ...lea, siteIds: [asId<SiteId>('third')] };
    expect(codeOf(await works.do('report-label.withdraw', { key }, elsewhere))).toBe('not_found');
  });
});

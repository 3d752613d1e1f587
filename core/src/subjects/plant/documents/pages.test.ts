import fc from 'fast-check';
import { readPages } from './pages';

describe('the pages of a document', () => {
  it.each([
    ['3', [3]],
    ['3-5', [3, 4, 5]],
    ['3 to 5, 9', [3, 4, 5, 9]],
    ['9; 3–4', [9, 3, 4]],
    ['2, 2-3', [2, 3]],
    [' 7 , ', [7]],
  ])('%s', (text, pages) => {
    expect(readPages(text)).toEqual(pages);
  });

  it('are all of them where nothing is said', () => {
    expect(['', '  ', ','].map(readPages)).toEqual([null, null, null]);
  });

  it.each(['0', '5-3', 'all', '3-', '-3', '1-9999', '1.5', '3 5'])('are not guessed from %j', (text) => {
    expect(readPages(text)).toBeUndefined();
  });

  it('are read back as they are written', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.integer({ min: 1, max: 999 }), { minLength: 1, maxLength: 40 }), (pages) => {
        expect(readPages(pages.join(', '))).toEqual(pages);
      }),
    );
  });
});

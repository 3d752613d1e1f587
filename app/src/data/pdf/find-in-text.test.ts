import { findInText, type TextPiece } from './find-in-text';

/** Ten units wide a letter, one line under another. */
const piece = (str: string, x: number, y: number, hasEOL = false): TextPiece => ({
  str,
  transform: [1, 0, 0, 1, x, y],
  width: str.length * 10,
  height: 12,
  hasEOL,
});

describe('finding words in a page', () => {
  const page = [
    piece('Change the output', 0, 100, true),
    piece('shaft seal, then the ', 0, 80),
    piece('Output shaft', 210, 80),
  ];

  it('boxes the words alone, not the line that they stand in', () => {
    expect(findInText(page, 'seal')).toEqual([[{ x: 60, y: 80, width: 40, height: 12 }]]);
  });

  it('finds them over the end of a line and of a piece, in any case', () => {
    expect(findInText(page, '  OUTPUT   shaft ')).toEqual([
      [
        { x: 110, y: 100, width: 60, height: 12 },
        { x: 0, y: 80, width: 50, height: 12 },
      ],
      [{ x: 210, y: 80, width: 120, height: 12 }],
    ]);
    expect(findInText(page, 'the output shaft')).toHaveLength(2);
  });

  it('counts what stands twice in a line twice, and finds nothing for nothing', () => {
    expect(findInText([piece('seal on seal', 0, 0)], 'seal')).toHaveLength(2);
    expect(findInText(page, '  ')).toEqual([]);
    expect(findInText(page, 'sleeve')).toEqual([]);
    expect(findInText([], 'seal')).toEqual([]);
  });

  it('is not led astray by letters that change their number with their case', () => {
    expect(findInText([piece('İİ seal', 0, 0)], 'seal')).toEqual([[{ x: 30, y: 0, width: 40, height: 12 }]]);
  });
});

/** @jest-environment node */
import JsBarcode from 'jsbarcode';
import QRCode from 'qrcode';
import { labelText } from '@oilcan/core/plant/plant';
import { readPicture } from './read-picture';

interface Picture {
  readonly pixels: Uint8ClampedArray;
  readonly width: number;
  readonly height: number;
}

/** A picture of dark and light squares, each so many pixels wide. */
function pictureOf(
  isDark: (column: number, row: number) => boolean,
  columns: number,
  rows: number,
  side: number,
): Picture {
  const [width, height] = [columns * side, rows * side];
  const pixels = new Uint8ClampedArray(width * height * 4).fill(255);
  for (let y = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1) {
      if (isDark(Math.floor(x / side), Math.floor(y / side)))
        pixels.fill(20, (y * width + x) * 4, (y * width + x) * 4 + 3);
    }
  }
  return { pixels, width, height };
}

function qrPicture(text: string): Picture {
  const { modules } = QRCode.create(text, { errorCorrectionLevel: 'M' });
  const isDark = (column: number, row: number): boolean => {
    const isInside = [column, row].every((each) => each >= 4 && each < modules.size + 4);
    return isInside && modules.get(row - 4, column - 4) === 1;
  };
  return pictureOf(isDark, modules.size + 8, modules.size + 8, 5);
}

/** The bars of a Code 128 (ISO/IEC 15417) as another library makes them. */
function barPicture(text: string): Picture {
  const made: { encodings?: { data: string }[] } = {};
  JsBarcode(made, text, { format: 'CODE128' });
  const bars = (made.encodings ?? []).map(({ data }) => data).join('');
  return pictureOf((column) => bars[column - 12] === '1', bars.length + 24, 24, 3);
}

const read = ({ pixels, width, height }: Picture): string | null => readPicture(pixels, width, height);

describe('reading a code in a picture', () => {
  it('reads every one of a hundred labels', () => {
    for (let index = 0; index < 100; index += 1) {
      const text = labelText('https://oilcan.example:4870', `TAG-${index}`);
      expect(read(qrPicture(text))).toBe(text);
    }
  });

  it.each(['BG710/19309', 'SEAL-70-90-10', 'NEW-LABEL-0815', '1234567890'])('reads Code 128 %s', (text) => {
    expect(read(barPicture(text))).toBe(text);
  });

  it('reads nothing where nothing is, or only half of it', () => {
    expect(read(pictureOf(() => false, 40, 40, 4))).toBeNull();
    const { pixels, width, height } = qrPicture('half of it');
    expect(read({ pixels: pixels.subarray(0, width * (height >> 1) * 4), width, height: height >> 1 })).toBeNull();
  });
});

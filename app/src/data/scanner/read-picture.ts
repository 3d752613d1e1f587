import {
  BarcodeFormat,
  BinaryBitmap,
  DecodeHintType,
  HybridBinarizer,
  MultiFormatOneDReader,
  RGBLuminanceSource,
} from '@zxing/library';
import jsQR from 'jsqr';

const hints = new Map<DecodeHintType, unknown>([
  [DecodeHintType.POSSIBLE_FORMATS, [BarcodeFormat.CODE_128]],
  [DecodeHintType.TRY_HARDER, true],
]);

/**
 * The text of a QR code or a Code 128 in a picture; null when neither is in it. QR codes are read by jsQR, because ZXing's
 * port misses many clean ones (docs/decisions/0004).
 *
 * @param pixels four bytes each: red, green, blue, opacity
 */
export function readPicture(pixels: Uint8ClampedArray, width: number, height: number): string | null {
  const qr = jsQR(pixels, width, height, { inversionAttempts: 'attemptBoth' });
  if (qr !== null && qr.data !== '') return qr.data;
  const gray = new Uint8ClampedArray(width * height);
  for (let index = 0; index < gray.length; index += 1) {
    const [red = 0, green = 0, blue = 0] = [pixels[4 * index], pixels[4 * index + 1], pixels[4 * index + 2]];
    gray[index] = (red + 2 * green + blue) >> 2;
  }
  try {
    const bitmap = new BinaryBitmap(new HybridBinarizer(new RGBLuminanceSource(gray, width, height)));
    return new MultiFormatOneDReader(hints as Map<DecodeHintType, never>).decode(bitmap, hints as never).getText();
  } catch {
    // It throws for a picture without a code.
    return null;
  }
}

import type * as yup from 'yup';
import type { FileId } from '../../../kernel/ids';
import { idField, wholeField } from '../../../kernel/schema/fields';
import { isFileId } from './files';

/** The name of a file: its SHA-256. */
export function fileField(): yup.StringSchema<FileId> {
  return idField<FileId>()
    .test('sha256', 'This is not the name of a file.', (text) => isFileId(text))
    .meta({ jsonSchema: { pattern: '^[0-9a-f]{64}$' } }) as unknown as yup.StringSchema<FileId>;
}

/** Pixels along one side of the largest picture, and of all of it: more than the cameras of phones take, and what a phone can still draw. */
const LARGEST_SIDE = 20_000;
const MOST_PIXELS = 64_000_000;

/** Whether a picture has a size that can be drawn; sizes in pixels. */
export function isDrawable({ width, height }: { readonly width: number; readonly height: number }): boolean {
  const sides = [width, height];
  return sides.every((side) => side >= 1 && side <= LARGEST_SIDE) && width * height <= MOST_PIXELS;
}

/** The width or the height of a picture, in pixels. */
export function pictureSide(): yup.NumberSchema<number> {
  return wholeField().min(1).max(LARGEST_SIDE);
}

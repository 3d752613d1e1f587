import { argsSchema, choiceField } from '../../../kernel/schema/fields';
import { fileField, pictureSide } from '../../plant/files/file-field';
import { pictureTypes } from '../../plant/files/files';

/** The photo of a paper, as it is sent; null for none. */
export const receiptField = () =>
  argsSchema({
    fileId: fileField(),
    mediaType: choiceField(pictureTypes),
    width: pictureSide(),
    height: pictureSide(),
  }).nullable();

import * as yup from 'yup';
import { argsSchema, choiceField } from '../../../kernel/schema/fields';
import { fileField, pictureSide } from './file-field';
import { pictureTypes, type SizedPicture } from './files';

const photoShape = {
  fileId: fileField(),
  mediaType: choiceField(pictureTypes),
  width: pictureSide(),
  height: pictureSide(),
};

export const photoField = () => argsSchema(photoShape) as unknown as yup.Schema<SizedPicture>;

/** A picture, or null for none. */
export const optionalPhotoField = () =>
  yup.object(photoShape).noUnknown().strict().nullable().defined() as unknown as yup.Schema<SizedPicture | null>;

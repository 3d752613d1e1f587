import type { FileId } from '../../../../../kernel/ids';
import { choiceField } from '../../../../../kernel/schema/fields';
import { fileField, pictureSide } from '../../../../plant/files/file-field';
import { pictureTypes, type PictureType } from '../../../../plant/files/files';
import { plainKind, type StepKind } from '../step-kind';

declare module '../step-kind' {
  interface StepQuestions {
    photo: object;
  }
  interface StepAnswers {
    photo: {
      readonly fileId: FileId;
      readonly mediaType: PictureType;
      /** Size in pixels. */
      readonly width: number;
      readonly height: number;
    };
  }
}

/** Something to take a picture of. */
export const photo: StepKind<'photo'> = {
  ...plainKind,
  picture: ({ fileId, mediaType }) => ({ fileId, mediaType }),
  signature: null,
  answer: {
    fileId: fileField(),
    mediaType: choiceField(pictureTypes),
    width: pictureSide(),
    height: pictureSide(),
  },
  file: ({ fileId }) => fileId,
};

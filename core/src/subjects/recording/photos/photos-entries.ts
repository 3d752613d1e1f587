import type { FileId, StepId } from '../../../kernel/ids';
import type { PictureType } from '../../plant/files/files';
import { plainEntry, type EntryKindsNamed } from '../../orders/work/entry-kinds';

/** A picture, kept as a file under its SHA-256. */
export interface PhotoContent {
  readonly kind: 'photo';
  readonly fileId: FileId;
  readonly mediaType: PictureType;
  /** Size in pixels. */
  readonly width: number;
  readonly height: number;
  readonly caption: string;
  /** Whether it shows the machine before the work or after it; absent where nobody said. */
  readonly taken?: 'before' | 'after';
  /** The picture as it was taken, where this one was drawn on; absent where it was not. */
  readonly originalFileId?: FileId;
  /** The step that it is about; absent where it is about the whole job. */
  readonly stepId?: StepId;
}

declare module '../../orders/work/entries' {
  interface EntryContents {
    photo: PhotoContent;
  }
}

export const photosEntries: EntryKindsNamed<'photo'> = {
  photo: {
    ...plainEntry,
    file: ({ fileId }) => fileId,
    picture: ({ fileId, mediaType, caption }) => ({
      fileId,
      mediaType,
      caption: caption === '' ? 'Photo' : caption,
      isReceipt: false,
    }),
    cells: ({ caption }) => ({ text: caption }),
    amendedBy: 'photo.amend',
    withdraw: 'marks',
    notificationText: 'a photo',
  },
};

import { FILE_BYTES_LIMIT, pictureTypeOf, type PictureType } from '@oilcan/core/plant/files';
import { asId, type FileId } from '@oilcan/core/kernel';
import { nameOf } from './name-of';
import { askWorker, WorkerMissing } from './ask-worker';

/** A picture ready to be kept, named by its SHA-256: a JPEG, at most 1,600 pixels long, unless it could not be made small. */
export interface ShrunkPicture {
  readonly id: FileId;
  readonly mediaType: PictureType;
  readonly content: Uint8Array<ArrayBuffer>;
  readonly width: number;
  readonly height: number;
}

interface Answer {
  readonly content: ArrayBuffer;
  readonly id: string;
  readonly width: number;
  readonly height: number;
}

/**
 * Shrinks a picture in a worker of its own, so that the screen does not stand still. Null for what is no picture. Where the code for
 * it cannot be loaded, the picture is taken as it is, since it may not be there to be taken again.
 */
export async function shrinkPicture(picture: Blob): Promise<ShrunkPicture | null> {
  try {
    const shrunk = await askWorker<Answer>('picture', picture);
    if (shrunk === null) return null;
    return { ...shrunk, id: asId<FileId>(shrunk.id), mediaType: 'image/jpeg', content: new Uint8Array(shrunk.content) };
  } catch (error) {
    if (!(error instanceof WorkerMissing)) throw error;
    return asItIs(picture);
  }
}

async function asItIs(picture: Blob): Promise<ShrunkPicture | null> {
  const content = new Uint8Array(await picture.arrayBuffer());
  const mediaType = pictureTypeOf(content);
  if (mediaType === null || content.length > FILE_BYTES_LIMIT) return null;
  try {
    const { width, height } = await createImageBitmap(picture, { imageOrientation: 'from-image' });
    return { id: nameOf(content), mediaType, content, width, height };
  } catch {
    return null;
  }
}

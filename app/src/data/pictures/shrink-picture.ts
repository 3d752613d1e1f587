import { asId, type FileId } from '@oilcan/core/kernel';
import { askWorker } from '../ask-worker';

/** A picture ready to be kept: a JPEG, at most 1,600 pixels long, named by its SHA-256. */
export interface ShrunkPicture {
  readonly id: FileId;
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

/** Shrinks a picture in a worker of its own, so that the screen does not stand still. Null for what is no picture. */
export async function shrinkPicture(picture: Blob): Promise<ShrunkPicture | null> {
  const shrunk = await askWorker<Answer>('picture', picture);
  return shrunk === null ? null : { ...shrunk, id: asId<FileId>(shrunk.id), content: new Uint8Array(shrunk.content) };
}

import { asId, type FileId } from '@oilcan/core';

/** A picture ready to be kept: a JPEG, at most 1,600 pixels long, named by its SHA-256. */
export interface ShrunkPicture {
  readonly id: FileId;
  readonly content: Uint8Array<ArrayBuffer>;
  readonly width: number;
  readonly height: number;
}

type Answer = {
  readonly content: ArrayBuffer;
  readonly id: string;
  readonly width: number;
  readonly height: number;
} | null;

/** Shrinks a picture in a worker of its own, so that the screen does not stand still. Null for what is no picture. */
export function shrinkPicture(picture: Blob): Promise<ShrunkPicture | null> {
  return new Promise((resolve) => {
    const worker = new Worker('/workers/picture.js');
    const end = (shrunk: ShrunkPicture | null): void => {
      worker.terminate();
      resolve(shrunk);
    };
    worker.addEventListener('message', ({ data }: MessageEvent<Answer>) =>
      end(data === null ? null : { ...data, id: asId<FileId>(data.id), content: new Uint8Array(data.content) }),
    );
    worker.addEventListener('error', () => end(null));
    worker.postMessage(picture);
  });
}

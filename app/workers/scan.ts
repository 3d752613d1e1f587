import { readPicture } from '../src/data/scanner/read-picture';

interface Frame {
  readonly pixels: Uint8ClampedArray;
  readonly width: number;
  readonly height: number;
}

addEventListener('message', ({ data: { pixels, width, height } }: MessageEvent<Frame>) => {
  postMessage(readPicture(pixels, width, height));
});

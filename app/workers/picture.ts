import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';

/** Pixels along the longer side: enough to read a nameplate, and a few hundred kilobytes. */
const LONGER_SIDE = 1_600;
const QUALITY = 0.8;

/** Makes a picture small enough to be sent over a thin line, and names it by its SHA-256. */
async function shrink(picture: Blob): Promise<{ content: ArrayBuffer; id: string; width: number; height: number }> {
  const bitmap = await createImageBitmap(picture, { imageOrientation: 'from-image' });
  const scale = Math.min(1, LONGER_SIDE / Math.max(bitmap.width, bitmap.height));
  const [width, height] = [
    Math.max(1, Math.round(bitmap.width * scale)),
    Math.max(1, Math.round(bitmap.height * scale)),
  ];
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext('2d');
  if (context === null) throw new Error('This browser cannot draw pictures.');
  // What is transparent would turn black as JPEG.
  context.fillStyle = '#fff';
  context.fillRect(0, 0, width, height);
  context.drawImage(bitmap, 0, 0, width, height);
  bitmap.close();
  const content = await (await canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY })).arrayBuffer();
  return { content, id: bytesToHex(sha256(new Uint8Array(content))), width, height };
}

addEventListener('message', (event: MessageEvent<Blob>) => {
  shrink(event.data).then(
    (shrunk) => postMessage(shrunk, { transfer: [shrunk.content] }),
    () => postMessage(null),
  );
});

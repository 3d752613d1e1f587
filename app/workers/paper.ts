import { inTurns } from '../src/data/browser/in-turns';
import { withDocuments, type DocumentBehind } from '@oilcan/paper/documents-behind';
import { jobCard, type JobCard } from '@oilcan/paper/job-card';
import type { Label, LabelFormatName } from '@oilcan/paper/label-formats';
import { labelSheet } from '@oilcan/paper/label-sheet';
import { outOfServiceTag, type OutOfServiceTag } from '@oilcan/paper/out-of-service-tag';
import type { Picture } from '@oilcan/paper/paper';
import type { ReadFont } from '@oilcan/paper/paper-fonts';
import { recordPaper, type RecordPaper } from '@oilcan/paper/record-paper';

/** What is to be set. */
export type PaperOrder =
  | { readonly what: 'record'; readonly record: RecordPaper; readonly photos: readonly (Blob | null)[] }
  | { readonly what: 'job card'; readonly card: JobCard; readonly behind: readonly DocumentBehind[] }
  | { readonly what: 'tag'; readonly tag: OutOfServiceTag }
  | {
      readonly what: 'labels';
      readonly labels: readonly Label[];
      readonly format: LabelFormatName;
      readonly firstPlace: number;
    };

/** So many photos are made light at once: more would only fill the memory. */
const AT_ONCE = 4;

const readFont: ReadFont = async (file) => {
  const response = await fetch(`/fonts/${file}`);
  if (!response.ok) throw new Error(`The font ${file} is missing.`);
  return new Uint8Array(await response.arrayBuffer());
};

/** What all photos of a record may weigh together, so that it can be sent by mail. */
const PHOTOS_BYTES = 12 * 1024 * 1024;
/** Pixels along the longer side and the quality of a photo, from the best on: the first that is light enough is taken. */
const tries = [
  [1_200, 0.8],
  [1_000, 0.7],
  [800, 0.6],
  [640, 0.5],
  [480, 0.4],
] as const;

/** A photo as JPEG, as good as its share of the weight lets it be; null for what is no picture. */
async function lightened(photo: Blob, mostBytes: number): Promise<Picture | null> {
  const bitmap = await createImageBitmap(photo).catch(() => null);
  if (bitmap === null) return null;
  let blob = photo;
  for (const [longerSide, quality] of tries) {
    const scale = Math.min(1, longerSide / Math.max(bitmap.width, bitmap.height));
    const canvas = new OffscreenCanvas(Math.ceil(bitmap.width * scale), Math.ceil(bitmap.height * scale));
    const context = canvas.getContext('2d');
    if (context === null) return null;
    // What is transparent would turn black as JPEG.
    context.fillStyle = '#fff';
    context.fillRect(0, 0, canvas.width, canvas.height);
    context.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
    blob = await canvas.convertToBlob({ type: 'image/jpeg', quality });
    if (blob.size <= mostBytes) break;
  }
  bitmap.close();
  return { content: new Uint8Array(await blob.arrayBuffer()), mediaType: 'image/jpeg' };
}

async function record({ record: told, photos }: PaperOrder & { what: 'record' }): Promise<Uint8Array> {
  const mostBytes = PHOTOS_BYTES / Math.max(1, photos.length);
  const pictures = await inTurns(photos, AT_ONCE, (photo) => (photo === null ? null : lightened(photo, mostBytes)));
  return recordPaper(told, pictures, readFont);
}

function set(order: PaperOrder): Promise<Uint8Array> {
  switch (order.what) {
    case 'record':
      return record(order);
    case 'job card':
      return jobCard(order.card, readFont).then((card) =>
        withDocuments(card, order.card.number, order.behind, readFont),
      );
    case 'tag':
      return outOfServiceTag(order.tag, readFont);
    case 'labels':
      return labelSheet(order.labels, order.format, order.firstPlace, readFont);
  }
}

addEventListener('message', ({ data }: MessageEvent<PaperOrder>) => {
  set(data).then(
    (content) => postMessage(content, { transfer: [content.buffer] }),
    () => postMessage(null),
  );
});

import { jobCard, type JobCard } from '@oilcan/paper/job-card';
import type { Label, LabelFormatName } from '@oilcan/paper/label-formats';
import { labelSheet } from '@oilcan/paper/label-sheet';
import { outOfServiceTag, type OutOfServiceTag } from '@oilcan/paper/out-of-service-tag';
import type { ReadFont } from '@oilcan/paper/paper-fonts';

/** What is to be set. */
export type PaperOrder =
  | { readonly what: 'job card'; readonly card: JobCard }
  | { readonly what: 'tag'; readonly tag: OutOfServiceTag }
  | {
      readonly what: 'labels';
      readonly labels: readonly Label[];
      readonly format: LabelFormatName;
      readonly firstPlace: number;
    };

const readFont: ReadFont = async (file) => {
  const response = await fetch(`/fonts/${file}`);
  if (!response.ok) throw new Error(`The font ${file} is missing.`);
  return new Uint8Array(await response.arrayBuffer());
};

function set(order: PaperOrder): Promise<Uint8Array> {
  switch (order.what) {
    case 'job card':
      return jobCard(order.card, readFont);
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

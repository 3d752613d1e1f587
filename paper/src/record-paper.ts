import { A4, MILLIMETRE, Paper, type Picture } from './paper';
import type { ReadFont } from './paper-fonts';

/** A measuring point with what was read there; values in its unit. */
export interface ReadingOnPaper {
  readonly name: string;
  /** Such as `4.8 mm/s, beyond alert`. */
  readonly said: string;
  /** Such as `alert 4.5, alarm 7.1 mm/s`; empty where it has no limits. */
  readonly limits: string;
  readonly scale: { readonly from: number; readonly to: number };
  readonly marks: readonly { readonly value: number; readonly is: 'alert' | 'alarm' }[];
  /** The values before, and the one of this job. */
  readonly before: readonly number[];
  readonly value: number;
}

/** Somebody's signature: the data of an SVG path of straight lines. */
export interface SignatureOnPaper {
  readonly path: string;
  readonly words: string;
  /** What became of the record since; empty for nothing. */
  readonly since: string;
}

/** The record of a job; every text as people read it. */
export interface RecordPaper {
  readonly number: string;
  readonly title: string;
  readonly organization: string;
  readonly reason: string;
  readonly facts: readonly (readonly [label: string, value: string])[];
  readonly steps: readonly (readonly [number: string, text: string, answer: string])[];
  readonly readings: readonly ReadingOnPaper[];
  /** When and by whom, what, and more of it; in the order of time. */
  readonly entries: readonly (readonly [about: string, headline: string, detail: string])[];
  /** None where whoever reads it may not know what it cost. */
  readonly costs: readonly (readonly [label: string, amount: string])[];
  /** Captions of the pictures, in their order. */
  readonly photos: readonly string[];
  readonly signatures: readonly SignatureOnPaper[];
  readonly made: string;
}

const LABEL_WIDTH = 110;
const SCALE_HEIGHT = 64;
const SCALE_WIDTH = 12;
const PHOTO_GAP = 10;
const PHOTO_HEIGHT = 150;
const SIGNATURE_HEIGHT = 56;
const SIGNATURE_WIDTH = 180;

/**
 * The whole record on A4.
 *
 * @param photos one picture for each caption; null for one that is not to be had, whose place says so
 */
export async function recordPaper(
  record: RecordPaper,
  photos: readonly (Picture | null)[],
  read: ReadFont,
): Promise<Uint8Array> {
  const paper = await Paper.begin(`${record.number} ${record.title}`, A4, 16 * MILLIMETRE, read);
  head(paper, record);
  if (record.steps.length > 0) paper.heading('Steps');
  for (const [number, text, answer] of record.steps) line(paper, number, text, answer);
  if (record.readings.length > 0) paper.heading('Readings');
  for (const reading of record.readings) scale(paper, reading);
  if (record.entries.length > 0) paper.heading('Record');
  for (const [about, headline, detail] of record.entries) entry(paper, about, headline, detail);
  if (record.costs.length > 0) paper.heading('Cost');
  for (const [label, amount] of record.costs) fact(paper, label, amount);
  if (record.photos.length > 0) paper.heading('Photos');
  await album(paper, record.photos, photos);
  if (record.signatures.length > 0) paper.heading('Signed');
  for (const signature of record.signatures) sign(paper, signature);
  paper.top += 8;
  paper.paragraph(record.made, { size: 8 });
  paper.numberPages(record.number);
  return paper.finish();
}

function head(paper: Paper, { organization, number, title, facts, reason }: RecordPaper): void {
  paper.textAt(organization, paper.margin, paper.top, { size: 9 }, paper.room);
  paper.textAt(number, paper.margin, paper.top + 12, { font: 'heading', size: 26 });
  paper.top += 44;
  paper.paragraph(title, { font: 'heading', size: 16 });
  paper.rule();
  paper.top += 6;
  for (const [label, value] of facts) fact(paper, label, value);
  paper.top += 4;
  paper.paragraph(reason);
}

function fact(paper: Paper, label: string, value: string): void {
  paper.need(15);
  paper.textAt(label, paper.margin, paper.top, { font: 'strong' }, LABEL_WIDTH - 6);
  paper.paragraph(value, {}, LABEL_WIDTH);
}

function line(paper: Paper, number: string, text: string, answer: string): void {
  paper.need(30);
  paper.textAt(number, paper.margin, paper.top);
  paper.paragraph(text, {}, 26);
  if (answer !== '') paper.paragraph(answer, { font: 'strong', size: 9 }, 26);
  paper.top += 3;
}

function entry(paper: Paper, about: string, headline: string, detail: string): void {
  paper.need(40);
  paper.paragraph(about, { size: 8 });
  paper.paragraph(headline, { font: 'strong' });
  if (detail !== '') paper.paragraph(detail, { size: 9 });
  paper.top += 5;
}

/** An upright scale that fills to the value, with its limits, and the values before as fine marks. */
function scale(paper: Paper, { name, said, limits, scale: { from, to }, marks, before, value }: ReadingOnPaper): void {
  paper.need(SCALE_HEIGHT + 14);
  const { margin, top } = paper;
  const heightOf = (at: number): number => {
    const share = to === from ? 0 : (at - from) / (to - from);
    return Math.min(1, Math.max(0, share)) * SCALE_HEIGHT;
  };
  paper.frame(margin, top, SCALE_WIDTH, SCALE_HEIGHT);
  paper.bar(margin, top + SCALE_HEIGHT - heightOf(value), SCALE_WIDTH, heightOf(value));
  for (const each of before) paper.line(margin + SCALE_WIDTH + 2, top + SCALE_HEIGHT - heightOf(each), 6);
  for (const { value: limit, is } of marks)
    paper.bar(margin - 4, top + SCALE_HEIGHT - heightOf(limit) - 0.5, SCALE_WIDTH + 8, is === 'alarm' ? 2 : 1);
  paper.textAt(name, margin + 34, top + 4, { font: 'strong' }, paper.room - 34);
  paper.textAt(said, margin + 34, top + 20, {}, paper.room - 34);
  paper.textAt(limits, margin + 34, top + 36, { size: 9 }, paper.room - 34);
  paper.top += SCALE_HEIGHT + 14;
}

/** Two pictures side by side, each with its caption. */
async function album(paper: Paper, captions: readonly string[], photos: readonly (Picture | null)[]): Promise<void> {
  const width = (paper.room - PHOTO_GAP) / 2;
  for (let index = 0; index < captions.length; index += 2) {
    paper.need(PHOTO_HEIGHT + 26);
    for (const side of [0, 1]) {
      const caption = captions[index + side];
      if (caption === undefined) continue;
      const left = paper.margin + side * (width + PHOTO_GAP);
      const photo = photos[index + side] ?? null;
      if (photo === null)
        paper.textAt('This photo is not on the device that made the PDF.', left, paper.top + 60, { size: 9 }, width);
      else await paper.picture(photo, left, paper.top, width, PHOTO_HEIGHT);
      paper.textAt(caption, left, paper.top + PHOTO_HEIGHT + 4, { size: 9 }, width);
    }
    paper.top += PHOTO_HEIGHT + 26;
  }
}

function sign(paper: Paper, { path, words, since }: SignatureOnPaper): void {
  paper.need(SIGNATURE_HEIGHT + 40);
  paper.drawn(path, paper.margin, paper.top, SIGNATURE_WIDTH, SIGNATURE_HEIGHT);
  paper.top += SIGNATURE_HEIGHT + 4;
  paper.line(paper.margin, paper.top, SIGNATURE_WIDTH);
  paper.top += 3;
  paper.paragraph(words, { size: 9 });
  if (since !== '') paper.paragraph(since, { font: 'strong', size: 9 });
  paper.top += 8;
}

import { A6, MILLIMETRE, Paper } from './paper';
import type { ReadFont } from './paper-fonts';

/** What hangs on a machine while people work on it. */
export interface OutOfServiceTag {
  readonly number: string;
  readonly title: string;
  readonly machine: string;
  readonly tag: string;
  readonly place: string;
  readonly person: string;
  readonly since: string;
  readonly organization: string;
  readonly code: string;
}

const CODE_SIDE = 32 * MILLIMETRE;

/** A6, to be read from two metres. */
export async function outOfServiceTag(tag: OutOfServiceTag, read: ReadFont): Promise<Uint8Array> {
  const paper = await Paper.begin(`Out-of-service tag: ${tag.tag}`, A6, 8 * MILLIMETRE, read);
  const { margin, room } = paper;
  paper.bar(margin, paper.top, room, 6);
  paper.textAt('DO NOT START', margin, paper.top + 14, { font: 'heading', size: 36 }, room);
  paper.textAt('Out of service', margin, paper.top + 54, { font: 'heading', size: 26 }, room);
  paper.bar(margin, paper.top + 92, room, 6);
  paper.top += 112;
  paper.textAt(tag.tag, margin, paper.top, { font: 'heading', size: 26 }, room);
  paper.top += 34;
  for (const line of [tag.machine, tag.place, `${tag.number} ${tag.title}`]) {
    paper.paragraph(line, { size: 11 });
  }
  paper.top += 8;
  const beside = room - CODE_SIDE - 8;
  const codeTop = paper.top;
  for (const [label, value] of [
    ['Who has it', tag.person],
    ['Since', tag.since],
    ['', tag.organization],
  ] as const) {
    if (label !== '') paper.textAt(label, margin, paper.top, { size: 8 });
    paper.textAt(value, margin, paper.top + 10, { font: 'strong', size: 11 }, beside);
    paper.top += 28;
  }
  paper.code(tag.code, margin + room - CODE_SIDE, codeTop - 6, CODE_SIDE);
  return paper.finish();
}

import { A4, MILLIMETRE, Paper } from './paper';
import type { ReadFont } from './paper-fonts';

/** A job for whoever has it on paper; every text as people read it. */
export interface JobCard {
  readonly number: string;
  readonly title: string;
  readonly organization: string;
  readonly reason: string;
  /** Label and value, such as machine, place, due, urgency. */
  readonly facts: readonly (readonly [label: string, value: string])[];
  /** What it is with its number and end, and the conditions. */
  readonly permits: readonly (readonly [permit: string, conditions: string])[];
  readonly hazards: readonly (readonly [hazard: string, control: string])[];
  /** The device, how its energy is let go, how it is tested. */
  readonly isolation: readonly (readonly [device: string, release: string, test: string])[];
  readonly kit: readonly string[];
  readonly steps: readonly (readonly [text: string, answer: string])[];
  /** What the QR code holds. */
  readonly code: string;
  readonly printed: string;
}

const CODE_SIDE = 28 * MILLIMETRE;
const LINES_TO_WRITE = 6;

/** A4, with boxes to tick and lines to write on. */
export async function jobCard(card: JobCard, read: ReadFont): Promise<Uint8Array> {
  const paper = await Paper.begin(`${card.number} ${card.title}`, A4, 16 * MILLIMETRE, read);
  const { margin, room } = paper;
  paper.code(card.code, margin + room - CODE_SIDE, margin - 10, CODE_SIDE);
  const beside = room - CODE_SIDE - 8;
  paper.textAt(card.organization, margin, paper.top, { size: 9 }, beside);
  paper.textAt(card.number, margin, paper.top + 14, { font: 'heading', size: 26 });
  paper.textAt(card.title, margin, paper.top + 46, { font: 'heading', size: 16 }, beside);
  paper.top += CODE_SIDE - 4;
  paper.rule();
  paper.top += 6;
  for (const [label, value] of card.facts) {
    paper.need(15);
    paper.textAt(label, margin, paper.top, { font: 'strong' });
    paper.textAt(value, margin + 90, paper.top, {}, room - 90);
    paper.top += 15;
  }
  paper.top += 4;
  paper.paragraph(card.reason);
  if (card.permits.length > 0) {
    paper.heading('Permits');
    for (const [permit, conditions] of card.permits) tickLine(paper, permit, conditions);
  }
  if (card.hazards.length > 0) {
    paper.heading('Hazards');
    for (const [hazard, control] of card.hazards) tickLine(paper, hazard, control);
  }
  if (card.isolation.length > 0) {
    paper.heading('Isolation: shut down, then lock, release, test each');
    for (const [device, release, test] of card.isolation)
      tickLine(paper, device, [release, test].filter(Boolean).join(' · '));
  }
  if (card.kit.length > 0) {
    paper.heading('Kit');
    for (const line of card.kit) tickLine(paper, line, '');
  }
  if (card.steps.length > 0) {
    paper.heading('Steps');
    for (const [text, answer] of card.steps) tickLine(paper, text, answer);
  }
  paper.heading('What was found and done');
  for (let line = 0; line < LINES_TO_WRITE; line += 1) {
    paper.need(24);
    paper.top += 22;
    paper.line(margin, paper.top, room);
  }
  paper.need(60);
  paper.top += 44;
  paper.line(margin, paper.top, room / 2 - 10);
  paper.line(margin + room / 2 + 10, paper.top, room / 2 - 10);
  paper.textAt('Date, from, to', margin, paper.top + 3, { size: 8 });
  paper.textAt('Name, signature', margin + room / 2 + 10, paper.top + 3, { size: 8 });
  paper.top += 16;
  paper.textAt(card.printed, margin, paper.top, { size: 8 });
  return paper.finish();
}

function tickLine(paper: Paper, text: string, detail: string): void {
  paper.need(34);
  paper.box(paper.margin, paper.top, 10);
  paper.paragraph(text, {}, 18);
  if (detail !== '') paper.paragraph(detail, { size: 9 }, 18);
  paper.top += 4;
}

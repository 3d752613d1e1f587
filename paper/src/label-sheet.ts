import { labelFormats, type Label, type LabelFormatName } from './label-formats';
import { A4, MILLIMETRE, Paper } from './paper';
import type { ReadFont } from './paper-fonts';

/** Clear of the label's edge, since printers shift the sheet a little. */
const EDGE = 2.5 * MILLIMETRE;

/**
 * Labels on A4 sheets, from the first free place on.
 *
 * @param firstPlace 1 for a new sheet; sheets that were begun have fewer left
 */
export async function labelSheet(
  labels: readonly Label[],
  formatName: LabelFormatName,
  firstPlace: number,
  read: ReadFont,
): Promise<Uint8Array> {
  const format = labelFormats[formatName];
  const paper = await Paper.begin('Labels', A4, 0, read);
  const [width, height] = [format.width * MILLIMETRE, format.height * MILLIMETRE];
  const [left, upper] = [(A4.width - format.columns * width) / 2, (A4.height - format.rows * height) / 2];
  const onSheet = format.columns * format.rows;
  for (const [index, label] of labels.entries()) {
    const place = index + firstPlace - 1;
    if (index > 0 && place % onSheet === 0) paper.newPage();
    const column = place % format.columns;
    const row = Math.floor((place % onSheet) / format.columns);
    drawLabel(paper, label, left + column * width, upper + row * height, width, height);
  }
  return paper.finish();
}

const MOST_LINES = 3;
const LEADING = 1.25;

/** The code at the left, and beside it the words, in the middle of the label's height. */
function drawLabel(paper: Paper, label: Label, x: number, top: number, width: number, height: number): void {
  const side = Math.min(height - 2 * EDGE, width * 0.48);
  paper.code(label.code, x + EDGE, top + (height - side) / 2, side);
  const [textX, room] = [x + EDGE + side + 2, width - side - 2 * EDGE - 2];
  const tall = Math.min(22, height / 5.2);
  const heading = { font: 'heading', size: tall } as const;
  const detail = { font: 'text', size: Math.min(11, tall * 0.6) } as const;
  // A name that is too long for two lines of this size, such as a place's, is set smaller.
  const isLong = paper.linesOf(label.headline, heading, room, MOST_LINES).length > 2;
  const lines = [
    { style: isLong ? { ...heading, size: tall * 0.7 } : heading, text: label.headline },
    { style: detail, text: label.detail },
  ].flatMap(({ style, text }) => paper.linesOf(text, style, room, MOST_LINES).map((line) => ({ text: line, style })));
  let at = top + (height - lines.reduce((sum, { style }) => sum + style.size * LEADING, 0)) / 2;
  for (const { text, style } of lines) {
    paper.textAt(text, textX, at, style, room);
    at += style.size * LEADING;
  }
}

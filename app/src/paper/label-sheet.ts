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

function drawLabel(paper: Paper, label: Label, x: number, top: number, width: number, height: number): void {
  const side = Math.min(height - 2 * EDGE, width * 0.48);
  paper.code(label.code, x + EDGE, top + (height - side) / 2, side);
  const [textX, room] = [x + EDGE + side + 2, width - side - 2 * EDGE - 2];
  const size = Math.min(22, height / 5.2);
  paper.textAt(label.headline, textX, top + height / 2 - size * 1.2, { font: 'heading', size }, room);
  paper.textAt(label.detail, textX, top + height / 2 + size * 0.25, { size: Math.min(11, size * 0.6) }, room);
}

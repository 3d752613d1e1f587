import { rgb, type PDFPage } from 'pdf-lib';
import type { Booklet, Fonts } from './pages';

const GREEN = rgb(0.18, 0.36, 0.31);

/** Months from October to April with a mark where something is due. */
function season(page: PDFPage, fonts: Fonts, top: number): number {
  const months = ['Oct', 'Nov', 'Dec', 'Jan', 'Feb', 'Mar', 'Apr'];
  const due: readonly (readonly [string, readonly number[]])[] = [
    ['Bullwheel bearing, 250 g', [0, 2, 4, 6]],
    ['Sheave trains, nipples 1 to 8', [0, 3, 6]],
    ['Grip levers, thin film', [0, 1, 2, 3, 4, 5, 6]],
    ['Door rails, dry wax only', [0, 2, 4, 6]],
    ['Pump bearings, 80 g', [0, 1, 2, 3, 4, 5, 6]],
    ['Gun oscillation, 60 g', [0]],
  ];
  for (const [index, month] of months.entries()) {
    page.drawText(month, { x: 330 + index * 62, y: top - 12, size: 11, font: fonts.bold });
  }
  for (const [row, [what, at]] of due.entries()) {
    const y = top - 44 - row * 30;
    page.drawText(what, { x: 56, y, size: 12, font: fonts.plain });
    for (const month of at) page.drawCircle({ x: 342 + month * 62, y: y + 4, size: 8, color: GREEN });
  }
  return top - 60 - due.length * 30;
}

/** What is greased when, on one page for the wall. */
export const lubricationChart: Booklet = {
  title: 'Lubrication chart, all lifts',
  maker: 'Graupel Peak Ropeways',
  size: [842, 595],
  pages: [
    [
      { heading: 'Lubrication chart, winter season' },
      {
        text: 'A filled circle: due in this month. Grease LGEP 2 unless something else is written. Wipe nipples before and after.',
      },
      { figure: season },
    ],
  ],
};

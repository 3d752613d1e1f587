/** A symbol of the drawing: what it is, its position, what is written in it. */
const boxes: readonly (readonly [x: number, y: number, width: number, height: number, label: string, note: string])[] =
  [
    [60, 420, 150, 90, 'T1', 'Tank 120 L'],
    [280, 420, 110, 90, 'P1', 'Pump 11 cm³'],
    [280, 250, 110, 70, 'V2', 'Relief 185 bar'],
    [470, 420, 120, 90, 'V1', 'Check valve'],
    [470, 250, 120, 70, 'A1', 'Accumulator 10 L'],
    [680, 420, 130, 90, 'V3', 'Ball valve, lockable'],
    [680, 120, 200, 110, 'Z1', 'Tension cylinder 160/90'],
    [900, 420, 110, 90, 'M1', 'Gauge 250 bar'],
  ];

const lines: readonly string[] = [
  'M210 465H280',
  'M390 465H470',
  'M335 420V320',
  'M335 250V200H135V420',
  'M590 465H680',
  'M530 420V320',
  'M745 420V230',
  'M810 465H900',
];

const box = ([x, y, width, height, label, note]: (typeof boxes)[number]): string =>
  `<g><rect x="${x}" y="${y}" width="${width}" height="${height}" fill="#fff" stroke="#10211f" stroke-width="3"/>` +
  `<text x="${x + 10}" y="${y + 30}" font-weight="700" font-size="24">${label}</text>` +
  `<text x="${x + 10}" y="${y + height - 14}" font-size="${note.length > 10 ? 12 : 15}">${note}</text></g>`;

/** The circuit of the hydraulic tensioning, as a drawing that can be zoomed without losing its lines. */
export const hydraulicDrawing = [
  '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 1080 600" font-family="sans-serif" fill="#10211f">',
  '<title>Hydraulic tensioning, Lark: circuit</title>',
  '<rect x="0" y="0" width="1080" height="600" fill="#f6f7f4"/>',
  '<text x="40" y="60" font-size="30" font-weight="700">Hydraulic tensioning, Lark: circuit</text>',
  '<text x="40" y="92" font-size="18">Working pressure 165 bar. Lock V3 shut and let A1 down to zero before opening anything.</text>',
  ...lines.map((path) => `<path d="${path}" fill="none" stroke="#2f5d50" stroke-width="5"/>`),
  ...boxes.map(box),
  '<text x="40" y="580" font-size="15">Drawing HT-4471, sheet 1 of 1. T1 P1 V1 V2 V3 A1 Z1 M1</text>',
  '</svg>',
].join('\n');

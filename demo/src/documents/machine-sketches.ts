/** Size of every sketch, in its own units. */
export const SKETCH_WIDTH = 480;
export const SKETCH_HEIGHT = 220;

const box = (x: number, y: number, width: number, height: number): string =>
  `<rect x="${x}" y="${y}" width="${width}" height="${height}" rx="4"/>`;
const wheel = (x: number, y: number, radius: number): string =>
  `<circle cx="${x}" cy="${y}" r="${radius}"/><circle cx="${x}" cy="${y}" r="${Math.max(4, Math.round(radius / 6))}"/>`;
const line = (...points: readonly number[]): string => `<polyline points="${points.join(' ')}"/>`;
const ground = line(40, 190, 440, 190);

/** What a machine of each class looks like from its side, in lines. */
const shapes: Readonly<Record<string, string>> = {
  gearbox: `${line(60, 120, 130, 120)}<path d="M130 190V90l50-40h150l40 40v100z"/>${box(190, 30, 60, 20)}${wheel(200, 130, 38)}${wheel(290, 125, 48)}${line(370, 120, 430, 120)}${box(414, 100, 16, 40)}${ground}`,
  'electric-motor': `${box(130, 70, 210, 110)}${box(110, 85, 20, 80)}${[160, 190, 220, 250, 280, 310].map((x) => line(x, 80, x, 170)).join('')}${box(200, 45, 70, 25)}${line(340, 125, 400, 125)}${box(400, 108, 24, 34)}${line(150, 180, 150, 190)}${line(320, 180, 320, 190)}${ground}`,
  brake: `${wheel(240, 110, 80)}${box(225, 20, 30, 46)}${box(225, 154, 30, 36)}${box(255, 32, 90, 26)}${line(300, 58, 300, 150, 255, 165)}${ground}`,
  'hydraulic-unit': `${box(90, 120, 220, 70)}${box(130, 70, 70, 50)}${box(210, 85, 40, 35)}${line(250, 100, 340, 100, 340, 150)}${box(325, 150, 100, 24)}${line(425, 162, 450, 162)}${wheel(280, 95, 18)}${ground}`,
  'sheave-train': `${line(30, 60, 450, 60)}${[100, 170, 240, 310, 380].map((x) => wheel(x, 88, 28)).join('')}${line(100, 88, 170, 125, 240, 88)}${line(240, 88, 310, 125, 380, 88)}${line(170, 125, 240, 155, 310, 125)}${line(240, 155, 240, 200)}`,
  ropeway: `${line(20, 60, 460, 60)}${line(20, 90, 460, 90)}${line(240, 60, 240, 200)}${line(200, 60, 280, 60)}${line(120, 60, 120, 105)}${box(90, 105, 60, 60)}${line(360, 90, 360, 120)}${box(330, 120, 60, 60)}`,
  carrier: `${line(60, 40, 420, 40)}${box(215, 30, 50, 20)}${line(240, 50, 240, 90)}<path d="M170 90h140l14 90h-168z"/>${box(190, 108, 40, 40)}${box(250, 108, 40, 40)}`,
  grip: `${line(30, 70, 450, 70)}<path d="M190 90c-30-40 10-50 30-30h60c30 0 40 30 20 50z"/>${wheel(290, 110, 22)}${line(250, 100, 250, 190)}${box(230, 190, 40, 14)}`,
  'control-cabinet': `${box(150, 30, 180, 160)}${line(240, 30, 240, 190)}${box(170, 50, 50, 36)}${wheel(180, 110, 8)}${wheel(205, 110, 8)}${wheel(180, 135, 8)}${line(262, 60, 310, 60)}${line(262, 80, 310, 80)}${line(262, 100, 310, 100)}${line(232, 120, 232, 136)}${ground}`,
  'combustion-engine': `${box(120, 80, 220, 90)}${[145, 195, 245, 295].map((x) => box(x, 50, 30, 30)).join('')}${wheel(370, 130, 36)}${line(120, 70, 80, 70, 80, 40)}${line(150, 170, 150, 190)}${line(310, 170, 310, 190)}${ground}`,
  pump: `${wheel(190, 115, 60)}${line(190, 55, 290, 55)}${box(290, 40, 14, 30)}${line(130, 115, 60, 115)}${box(46, 98, 14, 34)}${line(250, 130, 300, 130)}${box(300, 95, 120, 70)}${line(330, 165, 330, 190)}${line(390, 165, 390, 190)}${line(190, 175, 190, 190)}${ground}`,
  compressor: `${box(100, 110, 260, 60)}${box(140, 60, 80, 50)}${wheel(280, 85, 30)}${line(220, 80, 250, 80)}${line(360, 140, 410, 140)}${line(150, 170, 150, 190)}${line(310, 170, 310, 190)}${ground}`,
  'cooling-tower': `<path d="M150 190c40-50 40-90 20-140h140c-20 50-20 90 20 140z"/>${line(170, 80, 310, 80)}${line(240, 50, 240, 30)}${line(200, 30, 280, 30)}${ground}`,
  conveyor: `${wheel(90, 120, 30)}${wheel(390, 120, 30)}${line(90, 90, 390, 90)}${line(90, 150, 390, 150)}${[150, 210, 270, 330].map((x) => wheel(x, 108, 12)).join('')}${line(150, 150, 150, 190)}${line(330, 150, 330, 190)}${ground}`,
  winch: `${box(140, 60, 160, 90)}${[165, 190, 215, 240, 265].map((x) => line(x, 60, x, 150)).join('')}${box(110, 40, 30, 130)}${box(300, 40, 30, 130)}${box(330, 80, 70, 50)}${line(220, 60, 60, 30)}${line(125, 170, 125, 190)}${line(315, 170, 315, 190)}${ground}`,
  'snow-gun': `<path d="M250 60l150-30v100l-150-30z"/>${box(200, 60, 50, 40)}${line(225, 100, 225, 150)}${line(160, 190, 225, 150, 290, 190)}${line(410, 50, 450, 40)}${line(410, 80, 460, 80)}${line(410, 110, 450, 120)}${ground}`,
  'snow-plant': `${line(60, 190, 60, 100, 150, 60, 240, 100, 240, 190)}${box(100, 130, 40, 60)}${box(165, 120, 50, 30)}${line(240, 160, 420, 160)}${[290, 350, 410].map((x) => line(x, 160, x, 120)).join('')}${ground}`,
  instrument: `${line(240, 190, 240, 40)}${line(180, 60, 300, 60)}${wheel(180, 60, 14)}<path d="M300 50l30 10-30 10z"/>${box(215, 100, 50, 40)}${ground}`,
};

/** A sketch of a machine of a class as SVG, darker where the device is; null for a class of which there is none. */
export function sketchOf(equipmentClass: string): string | null {
  const shape = shapes[equipmentClass];
  if (shape === undefined) return null;
  const style =
    'svg{background:#eef1ec}g{fill:none;stroke:#10211f;stroke-width:4;stroke-linejoin:round}' +
    '@media(prefers-color-scheme:dark){svg{background:#13201e}g{stroke:#afbdb8}}';
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${SKETCH_WIDTH}" height="${SKETCH_HEIGHT}" viewBox="0 0 ${SKETCH_WIDTH} ${SKETCH_HEIGHT}"><style>${style}</style><g>${shape}</g></svg>\n`;
}

/** Every class of which there is a sketch. */
export const sketchedClasses = Object.keys(shapes);

import { getStroke } from 'perfect-freehand';

/** A point in pixels of the photo. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

/** Something drawn on a photo. */
export type Mark =
  | { readonly is: 'arrow' | 'circle'; readonly from: Point; readonly to: Point }
  | { readonly is: 'stroke'; readonly points: readonly Point[] }
  | { readonly is: 'words'; readonly at: Point; readonly text: string };

/** What of a mark is drawn: an outline as a path of SVG and canvas alike, or words. */
export type Shape =
  | { readonly is: 'line'; readonly path: string; readonly width: number }
  | { readonly is: 'area'; readonly path: string }
  | { readonly is: 'words'; readonly at: Point; readonly text: string; readonly size: number };

/** Of the shorter side of the photo. */
const LINE_SHARE = 0.009;
const WORDS_SHARE = 0.055;
const HEAD_SHARE = 0.06;
const HEAD_ANGLE = Math.PI / 7;

/** A mark as it is drawn on a photo whose shorter side has so many pixels. */
export function shapeOf(mark: Mark, shorterSide: number): Shape {
  const width = Math.max(3, shorterSide * LINE_SHARE);
  switch (mark.is) {
    case 'arrow':
      return { is: 'line', path: arrowPath(mark.from, mark.to, shorterSide * HEAD_SHARE), width };
    case 'circle':
      return { is: 'line', path: ellipsePath(mark.from, mark.to), width };
    case 'stroke':
      return { is: 'area', path: strokePath(mark.points, width * 1.6) };
    case 'words':
      return { is: 'words', at: mark.at, text: mark.text, size: Math.max(16, shorterSide * WORDS_SHARE) };
  }
}

function arrowPath(from: Point, to: Point, head: number): string {
  const angle = Math.atan2(to.y - from.y, to.x - from.x);
  const side = (turn: number): string =>
    `${round(to.x - head * Math.cos(angle + turn))} ${round(to.y - head * Math.sin(angle + turn))}`;
  const tip = `${round(to.x)} ${round(to.y)}`;
  return `M ${round(from.x)} ${round(from.y)} L ${tip} M ${side(HEAD_ANGLE)} L ${tip} L ${side(-HEAD_ANGLE)}`;
}

/** The ellipse that fits between two corners. */
function ellipsePath(a: Point, b: Point): string {
  const [rx, ry] = [Math.abs(b.x - a.x) / 2, Math.abs(b.y - a.y) / 2];
  const [cx, cy] = [(a.x + b.x) / 2, (a.y + b.y) / 2];
  const [left, right] = [round(cx - rx), round(cx + rx)];
  const arc = `A ${round(rx)} ${round(ry)} 0 1 0`;
  return `M ${left} ${round(cy)} ${arc} ${right} ${round(cy)} ${arc} ${left} ${round(cy)} Z`;
}

function strokePath(points: readonly Point[], size: number): string {
  const outline = getStroke(
    points.map(({ x, y }) => [x, y]),
    { size, thinning: 0.2, simulatePressure: false },
  );
  return outline.length === 0
    ? ''
    : `${outline.map(([x = 0, y = 0], index) => `${index === 0 ? 'M' : 'L'} ${round(x)} ${round(y)}`).join(' ')} Z`;
}

const round = (value: number): number => Math.round(value * 10) / 10;

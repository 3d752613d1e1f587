import { FIELD } from './drawn';

const STROKE = 8;

/** A signature as an SVG document, black on nothing. */
export function signatureSvg(path: string): string {
  const { width, height } = FIELD;
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}"><path d="${path}" fill="none" stroke="#000" stroke-width="${STROKE}" stroke-linecap="round" stroke-linejoin="round"/></svg>`;
}

/** The same as PNG; null where this browser cannot draw it. */
export async function signaturePng(path: string): Promise<Blob | null> {
  const canvas = new OffscreenCanvas(FIELD.width, FIELD.height);
  const context = canvas.getContext('2d');
  if (context === null) return null;
  context.lineWidth = STROKE;
  context.lineCap = context.lineJoin = 'round';
  context.stroke(new Path2D(path));
  return canvas.convertToBlob({ type: 'image/png' });
}

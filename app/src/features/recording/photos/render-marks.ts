import type { Shape } from './marks';

/** Light with a dark edge: seen on any photo. */
export const MARK_COLOR = '#FFFFFF';
export const MARK_EDGE = '#10211F';

/** A photo with the marks drawn into it, as a file; null where the photo cannot be read. */
export async function withMarks(address: string, shapes: readonly Shape[], font: string): Promise<Blob | null> {
  const image = new Image();
  image.src = address;
  await image.decode().catch(() => undefined);
  const { naturalWidth: width, naturalHeight: height } = image;
  const canvas = document.createElement('canvas');
  const context = canvas.getContext('2d');
  if (width === 0 || context === null) return null;
  [canvas.width, canvas.height] = [width, height];
  context.drawImage(image, 0, 0);
  context.lineCap = 'round';
  context.lineJoin = 'round';
  for (const shape of shapes) draw(context, shape, font);
  return new Promise((resolve) => {
    canvas.toBlob(resolve, 'image/jpeg', 0.9);
  });
}

function draw(context: CanvasRenderingContext2D, shape: Shape, font: string): void {
  context.strokeStyle = MARK_EDGE;
  context.fillStyle = MARK_COLOR;
  switch (shape.is) {
    case 'line': {
      const path = new Path2D(shape.path);
      context.lineWidth = shape.width * 1.8;
      context.stroke(path);
      context.strokeStyle = MARK_COLOR;
      context.lineWidth = shape.width;
      return context.stroke(path);
    }
    case 'area': {
      const path = new Path2D(shape.path);
      context.lineWidth = 4;
      context.stroke(path);
      return context.fill(path);
    }
    case 'words':
      context.font = `600 ${shape.size}px ${font}`;
      context.lineWidth = shape.size / 5;
      context.strokeText(shape.text, shape.at.x, shape.at.y);
      return context.fillText(shape.text, shape.at.x, shape.at.y);
  }
}

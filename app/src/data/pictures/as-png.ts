/** A drawing without a size of its own is set so wide, in pixels. */
const USUAL_WIDTH = 1_600;
const MOST_SIDE = 2_400;

/** A drawing or picture of any kind that the browser shows, as PNG; null for what is none. */
export async function asPng(
  content: Uint8Array<ArrayBuffer>,
  mediaType: string,
): Promise<Uint8Array<ArrayBuffer> | null> {
  const address = URL.createObjectURL(new Blob([content], { type: mediaType }));
  try {
    const image = new Image();
    image.src = address;
    await image.decode();
    const isDrawing = mediaType === 'image/svg+xml';
    const width = isDrawing ? Math.max(USUAL_WIDTH, image.naturalWidth) : image.naturalWidth;
    const ratio = image.naturalWidth === 0 ? 0.7 : image.naturalHeight / image.naturalWidth;
    const scale = Math.min(1, MOST_SIDE / Math.max(width, width * ratio));
    const canvas = document.createElement('canvas');
    canvas.width = Math.max(1, Math.round(width * scale));
    canvas.height = Math.max(1, Math.round(width * ratio * scale));
    const context = canvas.getContext('2d');
    if (context === null) return null;
    context.fillStyle = '#fff';
    context.fillRect(0, 0, canvas.width, canvas.height);
    context.drawImage(image, 0, 0, canvas.width, canvas.height);
    const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'));
    return blob === null ? null : new Uint8Array(await blob.arrayBuffer());
  } catch {
    return null;
  } finally {
    URL.revokeObjectURL(address);
  }
}

/** Pixels of the longer side: enough to see what is wrong, and light on a bad line. */
const LONGER_SIDE = 1_600;
const QUALITY = 0.8;

/** A photo made smaller, without what the camera wrote into it of where it was taken; as it was where the browser cannot. */
export async function smallerPhoto(photo: Blob): Promise<Blob> {
  try {
    const picture = await createImageBitmap(photo);
    const scale = Math.min(1, LONGER_SIDE / Math.max(picture.width, picture.height));
    const canvas = document.createElement('canvas');
    canvas.width = Math.max(1, Math.round(picture.width * scale));
    canvas.height = Math.max(1, Math.round(picture.height * scale));
    canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
    const smaller = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/jpeg', QUALITY));
    return smaller ?? photo;
  } catch {
    return photo;
  }
}

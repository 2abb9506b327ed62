/** The longer side of a kept picture, in pixels: a label can be read on it, and it goes through a weak signal. */
export const longestSide = 1600;
const quality = 0.82;

/** Width and height at which a picture is kept: never larger than it is. */
export function keptSize(width: number, height: number): { width: number; height: number } {
  const share = Math.min(1, longestSide / Math.max(width, height));
  return { width: Math.max(1, Math.round(width * share)), height: Math.max(1, Math.round(height * share)) };
}

/**
 * A picture as it is kept: upright, not too large, and drawn anew, so that nothing else that a camera writes into a file, such
 * as where it was, goes along.
 * @throws Error where the device cannot read the file as a picture
 */
export async function shrunk(file: Blob): Promise<Blob> {
  const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => {
    throw new Error('This device cannot read the file as a picture. Take it as JPEG or PNG.');
  });
  const { width, height } = keptSize(bitmap.width, bitmap.height);
  const canvas = new OffscreenCanvas(width, height);
  canvas.getContext('2d')!.drawImage(bitmap, 0, 0, width, height);
  bitmap.close();
  return canvas.convertToBlob({ type: 'image/jpeg', quality });
}

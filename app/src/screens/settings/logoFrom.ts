import { MOST_LOGO } from '@june-tide/core/record';

/** Widest a shop's picture is kept, px; made smaller until it fits what settings hold. */
const WIDEST_px = 480;
const LEAST_px = 40;

/** A picture as the shop's own, drawn anew and small: nothing of the file but the picture is kept. Undefined for what is none. */
export async function logoFrom(file: Blob): Promise<string | undefined> {
  let drawn: ImageBitmap;
  try {
    drawn = await createImageBitmap(file, { imageOrientation: 'from-image' });
  } catch {
    return undefined;
  }
  const canvas = document.createElement('canvas');
  for (let widest = WIDEST_px; widest >= LEAST_px; widest /= 2) {
    const by = Math.min(1, widest / Math.max(drawn.width, drawn.height));
    [canvas.width, canvas.height] = [drawn.width, drawn.height].map((side) => Math.max(1, Math.round(side * by)));
    canvas.getContext('2d')?.drawImage(drawn, 0, 0, canvas.width, canvas.height);
    const png = canvas.toDataURL('image/png');
    if (png.length <= MOST_LOGO) return png;
  }
  return undefined;
}

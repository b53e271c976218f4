import { type Picture, pictureFileKind } from '@june-tide/core/bring';

/** The longest side a picture is worked with, px. */
const WORKED_px = 2400;

export type PictureRead = { ok: true; picture: Picture } | { ok: false; reason: string };

/** A picture's pixels, upright, no larger than they are worked with; of the file nothing else is kept, its place and camera neither. */
export async function readPicture(file: File): Promise<PictureRead> {
  try {
    const head = new Uint8Array(await file.slice(0, 400_000).arrayBuffer());
    const told = pictureFileKind(head, file.size);
    if (!told.ok) return told;
    const bitmap = await createImageBitmap(file);
    const scale = Math.min(1, WORKED_px / Math.max(bitmap.width, bitmap.height));
    const width = Math.max(1, Math.round(bitmap.width * scale));
    const height = Math.max(1, Math.round(bitmap.height * scale));
    const context = new OffscreenCanvas(width, height).getContext('2d');
    if (!context)
      return { ok: false, reason: 'The browser gives no room for the picture: close other tabs and try again.' };
    context.imageSmoothingQuality = 'high';
    context.drawImage(bitmap, 0, 0, width, height);
    bitmap.close();
    return { ok: true, picture: { width, height, rgba: context.getImageData(0, 0, width, height).data } };
  } catch {
    return {
      ok: false,
      reason: 'The picture cannot be unpacked: it was cut off, or is of a kind this browser does not know.',
    };
  }
}

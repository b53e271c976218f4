import { db, type Photo } from './db.ts';
import { type EditResult, queue, refused } from './shedState.ts';

/** The longer side of a kept picture, px, and how finely it is written. */
const LONGEST_px = 1280;
const QUALITY = 0.8;
/** Larger files are refused before they are decoded. */
const MOST_bytes = 40_000_000;

/**
 * Keeps a picture small. It is drawn anew, so place, camera and whatever else a file carries beside the picture stay behind.
 * @returns its id, or why it was not kept; nothing changes then.
 */
export async function keepPhoto(
  boardId: string,
  file: Blob,
): Promise<{ ok: true; id: string } | (EditResult & { ok: false })> {
  if (file.size > MOST_bytes) return refused('photo', 'that file is over 40 MB: choose a smaller picture');
  let drawn: ImageBitmap;
  try {
    drawn = await createImageBitmap(file, { imageOrientation: 'from-image' });
  } catch {
    return refused('photo', 'that is no picture this browser can read: take a PNG, JPEG or WebP');
  }
  const by = Math.min(1, LONGEST_px / Math.max(drawn.width, drawn.height));
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [drawn.width, drawn.height].map((side) => Math.max(1, Math.round(side * by)));
  canvas.getContext('2d')?.drawImage(drawn, 0, 0, canvas.width, canvas.height);
  drawn.close();
  const jpeg = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg', QUALITY));
  if (!jpeg) return refused('photo', 'the picture could not be made small');
  const photo: Photo = { id: crypto.randomUUID(), boardId, jpeg };
  queue.put(`photo:${photo.id}`, async () => {
    await db.photos.put(photo);
  });
  shown.set(photo.id, URL.createObjectURL(jpeg));
  return { ok: true, id: photo.id };
}

/** Addresses of pictures that are looked at, by id: one for each, for as long as the page is open. */
const shown = new Map<string, string>();

/** Where a kept picture is to be seen; undefined when it is not in this browser. */
export async function photoAddress(id: string): Promise<string | undefined> {
  const known = shown.get(id);
  if (known !== undefined) return known;
  const photo = await db.photos.get(id);
  if (!photo) return undefined;
  const address = URL.createObjectURL(photo.jpeg);
  shown.set(id, address);
  return address;
}

/** The pictures of a board go with it when it is thrown away for good. */
export const dropPhotosOf = (boardId: string): Promise<number> => db.photos.where('boardId').equals(boardId).delete();

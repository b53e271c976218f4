import { db } from './db.ts';

export interface Room {
  /** The browser has promised not to clear it by itself. */
  lasting: boolean;
  used_MB: number;
  most_MB: number;
  photos_MB: number;
  photos: number;
}

/** How much room the shed takes; undefined where the browser does not say. */
export async function roomTaken(): Promise<Room | undefined> {
  // Not in every browser, and in none over plain HTTP.
  const storage = navigator.storage as StorageManager | undefined;
  if (!storage?.estimate) return undefined;
  const [{ usage = 0, quota = 0 }, lasting, photos] = await Promise.all([
    storage.estimate(),
    storage.persisted(),
    db.photos.toArray(),
  ]);
  const MB = 1e6;
  return {
    lasting,
    used_MB: usage / MB,
    most_MB: quota / MB,
    photos: photos.length,
    photos_MB: photos.reduce((sum, { jpeg }) => sum + jpeg.size, 0) / MB,
  };
}

/** Asks the browser not to clear the shed by itself. */
export async function askToLast(): Promise<boolean> {
  const storage = navigator.storage as StorageManager | undefined;
  try {
    return (await storage?.persist()) ?? false;
  } catch {
    return false;
  }
}

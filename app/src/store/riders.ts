import { merged, writtenOver } from '@june-tide/core/document';
import { readLeniently } from '@june-tide/core/record';
import { type Rider, riderSchema } from '@june-tide/core/rider';
import { db } from './db.ts';
import { type EditResult, entryOf, queue, refused, useShed, without } from './shedState.ts';
import { tellTabs } from './tabs.ts';

/** Riders' cards: kept, put away, the same in every tab. */

/** Cards as they lie on disk, as far as this window knows: what a change is told from. */
const lies = new Map<string, Rider>();
export const noteRidersOnDisk = (riders: readonly Rider[]): void =>
  riders.forEach((rider) => lies.set(rider.id, rider));

/** Another window wrote a card: what lies on disk now is taken, for its word may come late. */
export async function takeRiderOf(id: string): Promise<void> {
  const theirs = riderSchema.safeParse(await db.riders.get(id)).data;
  if (!theirs) return;
  const ours = entryOf(useShed.getState().riders, id);
  const base = lies.get(id);
  lies.set(id, theirs);
  takeRider(!ours || !base || ours === base ? theirs : both(base, ours, theirs));
}

/** Both changes of a card; ours where they are of the same. */
function both(base: Rider, ours: Rider, theirs: Rider): Rider {
  const read = riderSchema.safeParse(merged(base, ours, theirs, []));
  return read.success ? read.data : ours;
}

export function takeRider(rider: Rider): void {
  useShed.setState(({ riders }) => ({ riders: { ...riders, [rider.id]: rider } }));
}

export function takeRiderGone(id: string): void {
  useShed.setState(({ riders }) => ({ riders: without(riders, id) }));
}

/** Keeps a rider's card; one that could not be read again is refused and nothing changes. */
export function keepRider(rider: Rider): EditResult {
  const read = riderSchema.safeParse(rider);
  if (!read.success) {
    const [{ path, message }] = read.error.issues;
    return refused('rider', `${path.join(' ')}: ${message.toLowerCase()}`, path.join('.'));
  }
  takeRider(rider);
  const { id } = rider;
  queue.put(`rider:${id}`, async () => {
    const done = await db.transaction('rw', db.riders, async () => {
      const row: unknown = await db.riders.get(id);
      const ours = entryOf(useShed.getState().riders, id);
      if (!ours) return undefined;
      const base = lies.get(id);
      const read = readLeniently(row, riderSchema, () => undefined);
      const theirs = read.kind === 'spoilt' ? undefined : read.value;
      const written = theirs && base ? both(base, ours, theirs) : ours;
      // Fields of a newer app that lie there stay.
      await db.riders.put(read.kind === 'newer' ? (writtenOver(row, theirs, written) as Rider) : written);
      return { ours, written };
    });
    if (!done) return;
    lies.set(id, done.written);
    if (useShed.getState().riders[id] === done.ours) takeRider(done.written);
    tellTabs({ kind: 'rider', rider: done.written });
  });
  return { ok: true };
}

/** Takes a rider's card away; their boards stay. @returns a function that brings it back. */
export function removeRider(id: string): () => void {
  const rider = entryOf(useShed.getState().riders, id);
  takeRiderGone(id);
  queue.put(`rider:${id}`, async () => {
    await db.riders.delete(id);
    lies.delete(id);
    tellTabs({ kind: 'riderGone', id });
  });
  return () => {
    if (rider) keepRider(rider);
  };
}

import { type Rider, riderSchema } from '@june-tide/core/rider';
import { db } from './db.ts';
import { type EditResult, entryOf, queue, refused, useShed, without } from './shedState.ts';
import { tellTabs } from './tabs.ts';

/** Riders' cards: kept, put away, the same in every tab. */

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
  queue.put(`rider:${rider.id}`, async () => {
    await db.riders.put(rider);
    tellTabs({ kind: 'rider', rider });
  });
  return { ok: true };
}

/** Takes a rider's card away; their boards stay. @returns a function that brings it back. */
export function removeRider(id: string): () => void {
  const rider = entryOf(useShed.getState().riders, id);
  takeRiderGone(id);
  queue.put(`rider:${id}`, async () => {
    await db.riders.delete(id);
    tellTabs({ kind: 'riderGone', id });
  });
  return () => {
    if (rider) keepRider(rider);
  };
}

import { type Rider, riderSchema } from '@june-tide/core/rider';
import { plainTable } from './rows.ts';
import { type EditResult, entryOf, refused, useShed, without } from './shedState.ts';

/** Riders' cards: kept, put away, the same in every tab. */

export const riders = plainTable<Rider>({
  name: 'riders',
  schema: riderSchema,
  shown: (id) => entryOf(useShed.getState().riders, id),
  show: (id, rider) =>
    useShed.setState((shed) => ({ riders: rider ? { ...shed.riders, [id]: rider } : without(shed.riders, id) })),
});

/** Keeps a rider's card; one that could not be read again is refused and nothing changes. */
export function keepRider(rider: Rider): EditResult {
  const read = riderSchema.safeParse(rider);
  if (!read.success) {
    const [{ path, message }] = read.error.issues;
    return refused('rider', `${path.join(' ')}: ${message.toLowerCase()}`, path.join('.'));
  }
  riders.change(new Map([[rider.id, rider]]));
  return { ok: true };
}

/** Takes a rider's card away; their boards stay. @returns a function that brings it back. */
export function removeRider(id: string): () => void {
  const rider = entryOf(useShed.getState().riders, id);
  riders.change(new Map([[id, undefined]]));
  return () => {
    if (rider) keepRider(rider);
  };
}

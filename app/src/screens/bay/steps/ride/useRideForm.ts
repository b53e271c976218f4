import { useState } from 'react';
import { complaintsFor } from '@june-tide/core/judge';
import { type Felt, layoutsOf, type Ride, type Wind, workingDiffers } from '@june-tide/core/record';
import type { Rider, Waves } from '@june-tide/core/rider';
import { useDraft } from '../../../../parts/useDraft.ts';
import { noteRide, useShed } from '../../../../store/shed.ts';
import { useBay } from '../../useBay.ts';

/** The board as it is worked on, made a version by being ridden. */
export const AS_IT_STANDS = 'working';

interface Typed {
  waves: string;
  place: string;
  rider: string;
  words: string;
  fins: string;
  pad: string;
  felt: Felt | undefined;
  size: Waves['size'] | undefined;
  power: Waves['power'] | undefined;
  steepness: Waves['steepness'] | undefined;
  wind: Wind | undefined;
  stance: Rider['stance'] | undefined;
  mass_kg: number | undefined;
  layout: string | undefined;
  photos: readonly string[];
}

const NOTHING: Typed = {
  waves: '',
  place: '',
  rider: '',
  words: '',
  fins: '',
  pad: '',
  felt: undefined,
  size: undefined,
  power: undefined,
  steepness: undefined,
  wind: undefined,
  stance: undefined,
  mass_kg: undefined,
  layout: undefined,
  photos: [],
};

export type RideTyped = ReturnType<typeof useRideForm>;

/** What is there of typed things: what was left open is not kept as anything. */
function given<T extends object>(typed: T): Partial<T> {
  const there = Object.entries(typed).filter(([, value]) => {
    if (typeof value === 'string') return value.trim() !== '';
    return Array.isArray(value) ? value.length > 0 : value !== undefined;
  });
  return Object.fromEntries(
    there.map(([key, value]) => [key, typeof value === 'string' ? value.trim() : value]),
  ) as Partial<T>;
}

/** What is typed of a ride before it is noted. */
export function useRideForm() {
  const { record, rider: owner } = useBay();
  const riders = useShed((shed) => shed.riders);
  const [typed, setTyped, dropTyped] = useDraft(`ride:${record.id}`, NOTHING);
  const [chosen, choose] = useState<string>();
  const [refused, setRefused] = useState<string>();
  const set = (change: Partial<Typed>) => setTyped((was) => ({ ...was, ...change }));
  const version = chosen ?? (workingDiffers(record) ? AS_IT_STANDS : (record.from ?? AS_IT_STANDS));
  const fitted = layoutsOf(record).find(({ id }) => id === record.fitted)?.name;
  /** Whose card it is that rode: the one named, or of nobody else the board's own rider. */
  const card =
    typed.rider.trim() === '' ? owner : Object.values(riders).find(({ name }) => name === typed.rider.trim());
  /** Notes what was typed, if anything; false where it could not be kept. */
  const note = (): boolean => {
    if (typed.words.trim() === '') return true;
    const heard = complaintsFor(typed.words).map(({ id }) => id);
    const { waves, words, photos, ...rest } = typed;
    const ride: Omit<Ride, 'version' | 'on'> = {
      // What the card says of that day stays with the ride: a body changes and the board gets the blame.
      ...(card ? { riderId: card.id, mass_kg: card.mass_kg, stance: card.stance } : {}),
      ...(fitted === undefined ? {} : { layout: fitted }),
      ...given(rest),
      waves: waves.trim(),
      words: words.trim(),
      ...(photos.length > 0 ? { photos: [...photos] } : {}),
      ...(heard.length > 0 ? { complaints: heard } : {}),
    };
    const noted = noteRide(record.id, ride, version === AS_IT_STANDS ? undefined : version);
    setRefused(noted.ok ? undefined : noted.issues[0]?.words);
    if (!noted.ok) return false;
    dropTyped();
    choose(undefined);
    return true;
  };
  return { typed, set, version, choose, note, card, fitted, refused };
}

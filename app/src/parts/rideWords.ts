import type { Felt, Ride } from '@june-tide/core/record';
import { WIND_WORDS } from '@june-tide/core/record';
import { formatMass } from '@june-tide/core/units';
import { dateWords } from './days.ts';
import { STANCE_WORDS, STEEPNESS_WORDS, WAVE_POWER_WORDS, WAVE_SIZE_WORDS } from './words.ts';

export const FELT_WORDS: Readonly<Record<Felt, string>> = { better: 'better', same: 'the same', worse: 'worse' };

/** When and where a ride was, in which waves, who rode, on which fins: in a line. */
export function rideWords(ride: Ride, unit: 'kg' | 'lb'): string {
  const low = (text: string | undefined) => text?.toLowerCase();
  const who = [
    ride.rider && `${ride.rider} on it`,
    ride.stance && ride.stance !== 'unknown' && low(STANCE_WORDS[ride.stance]),
    ride.mass_kg !== undefined && formatMass(ride.mass_kg, unit),
  ];
  return [
    dateWords(ride.on),
    ride.place,
    ride.waves,
    ride.size && low(WAVE_SIZE_WORDS[ride.size]),
    ride.power && low(WAVE_POWER_WORDS[ride.power]),
    ride.steepness && low(STEEPNESS_WORDS[ride.steepness]),
    ride.wind && WIND_WORDS[ride.wind],
    ...who,
    ride.layout,
    ride.fins,
    ride.pad && `pad ${ride.pad}`,
  ]
    .filter((part) => typeof part === 'string' && part !== '')
    .join(', ');
}

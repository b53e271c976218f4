import type { RailStation } from '@june-tide/core/document';
import { formatLength, type LengthStyle } from '@june-tide/core/units';

const PLACES_BEHIND = {
  nose: 'past nose',
  tail: 'past tail',
  centre: 'behind centre',
  wide: 'behind wide',
} as const;
/** Words after the number of a station. */
export const PLACES = {
  nose: 'from nose',
  tail: 'from tail',
  centre: 'ahead of centre',
  wide: 'ahead of wide',
} as const;

/** The same where there is little room. */
export const PLACES_SHORT = { nose: 'nose', tail: 'tail', centre: 'centre', wide: 'wide' } as const;

/** A station of the rails or the crown in the shop's writing: 12 from nose, 30.5 cm from nose; what is tied to the middle says which way. */
export function stationName(station: Pick<RailStation, 'from' | 'at_mm'>, style: LengthStyle): string {
  if (station.from === 'wide' && station.at_mm === 0) return 'Wide point';
  if (station.from === 'centre' && station.at_mm === 0) return 'Centre';
  if (station.from === 'nose' && station.at_mm === 0) return 'Nose tip';
  if (station.from === 'tail' && station.at_mm === 0) return 'Tail';
  const written = formatLength(Math.abs(station.at_mm), style);
  const length = /[a-z]/.test(written) ? written : `${written} in`;
  return `${length} ${station.at_mm < 0 ? PLACES_BEHIND[station.from] : PLACES[station.from]}`;
}

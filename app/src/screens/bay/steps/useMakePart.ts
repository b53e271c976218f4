import { useSearchParams } from 'react-router';
import { type BandCounts, DECK_BANDS, UNDER_BANDS, USUAL_BANDS } from '@june-tide/core/make';

/** The parts of making, in the order they come up. */
export const MAKE_PARTS = ['blank', 'bands', 'paper', 'glass', 'cost', 'order', 'shaped'] as const;
export type MakePart = (typeof MAKE_PARTS)[number];

/** Which part of making is open and how many bands are asked for: kept in the address, so that a reload finds it again. */
export function useMakePart(): {
  part: MakePart;
  counts: BandCounts;
  open: (part: MakePart) => void;
  count: (counts: BandCounts) => void;
} {
  const [search, setSearch] = useSearchParams();
  const asked = search.get('part');
  const part = MAKE_PARTS.find((name) => name === asked) ?? 'paper';
  const deck = DECK_BANDS.find((n) => String(n) === search.get('deck')) ?? USUAL_BANDS.deck;
  const under = UNDER_BANDS.find((n) => String(n) === search.get('under')) ?? USUAL_BANDS.under;
  return {
    part,
    counts: { deck, under },
    open: (next) => setSearch({ part: next }, { replace: true }),
    count: (next) =>
      setSearch({ part: 'bands', deck: String(next.deck), under: String(next.under) }, { replace: true }),
  };
}

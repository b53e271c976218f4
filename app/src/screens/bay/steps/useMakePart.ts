import { useSearchParams } from 'react-router';

/** The parts of making, in the order they come up. */
export const MAKE_PARTS = ['blank', 'bands', 'paper', 'glass', 'cost', 'order', 'shaped'] as const;
export type MakePart = (typeof MAKE_PARTS)[number];

/** What of making is drawn on the plank: these parts, but for their pages that are all table. */
const DRAWN: Partial<Record<MakePart, readonly string[]>> = { blank: ['plan', 'block'], bands: ['stations'] };

/** Which part of making is open: kept in the address, so that a reload finds it again. */
export function useMakePart(): {
  part: MakePart;
  /** Whether it is drawn on the plank, which then is large. */
  drawn: boolean;
  open: (part: MakePart) => void;
} {
  const [search, setSearch] = useSearchParams();
  const asked = search.get('part');
  const part = MAKE_PARTS.find((name) => name === asked) ?? 'paper';
  const page = search.get('page') ?? '';
  return {
    part,
    drawn: DRAWN[part]?.includes(page) === false,
    open: (next) => setSearch({ part: next }, { replace: true }),
  };
}

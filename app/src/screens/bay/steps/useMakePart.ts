import { useSearchParams } from 'react-router';

/** The parts of making, in the order they come up. */
export const MAKE_PARTS = ['blank', 'bands', 'paper', 'glass', 'cost', 'order', 'shaped'] as const;
export type MakePart = (typeof MAKE_PARTS)[number];

/** Which part of making is open: kept in the address, so that a reload finds it again. */
export function useMakePart(): {
  part: MakePart;
  open: (part: MakePart) => void;
} {
  const [search, setSearch] = useSearchParams();
  const asked = search.get('part');
  const part = MAKE_PARTS.find((name) => name === asked) ?? 'paper';
  return {
    part,
    open: (next) => setSearch({ part: next }, { replace: true }),
  };
}

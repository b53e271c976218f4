import type { BroughtIn } from '@june-tide/core/bring';

/** Sides nearer one another than this are one line. */
const TOLD_mm = 0.5;

/** How far the two sides of what was found are apart, where they are. */
export function Uneven({ plan }: { plan: BroughtIn['plan'] }) {
  if (!plan || plan.uneven_mm <= TOLD_mm) return null;
  return (
    <p className="trouble">
      Its two sides are {plan.uneven_mm.toFixed(1)} mm apart in the mean: the board is half way between them.
    </p>
  );
}

/** One reason why a batten cannot take its marks fairly. Lengths in mm. */
export interface MarkTrouble {
  /** `hollow`: the mark lies on the wrong side of the line between its neighbours. `tight`: only a kink could turn so. */
  kind: 'hollow' | 'tight';
  /** Station of the mark, and of its neighbours on either side. */
  x_mm: number;
  from_mm: number;
  to_mm: number;
  /** How far the mark would have to move, toward the side it should be on, to leave no hollow; for `tight`, no trouble. */
  by_mm: number;
}

/** Chord slopes that differ by less than this share call for a kink: common practice has no figure, ours is tested. */
const TIGHT_SHARE = 0.1;

/**
 * Which marks of a curve ask for a hollow, or for a bend so sudden that a batten cannot make it.
 *
 * A curve that bends one way has chord slopes that fall along it (`in`: outline, foil) or rise (`up`: rocker). `level_mm`
 * is the station where the curve must be level: there slope 0 stands in the row of slopes.
 * Marks need not be sorted. Gives an empty list for marks that a fair curve can meet.
 */
export function markTroubles(
  marks: readonly { x_mm: number; value_mm: number }[],
  bend: 'in' | 'up',
  level_mm?: number,
): MarkTrouble[] {
  const sign = bend === 'in' ? 1 : -1;
  const sorted = [...marks].sort((a, b) => a.x_mm - b.x_mm);
  const troubles: MarkTrouble[] = [];
  for (let i = 1; i + 1 < sorted.length; i++) {
    const [before, here, after] = [sorted[i - 1], sorted[i], sorted[i + 1]];
    if (level_mm !== undefined && Math.abs(here.x_mm - level_mm) < 1e-9) continue;
    const share = (here.x_mm - before.x_mm) / (after.x_mm - before.x_mm);
    const chord = before.value_mm + share * (after.value_mm - before.value_mm);
    const proud_mm = sign * (here.value_mm - chord);
    const s1 = (here.value_mm - before.value_mm) / (here.x_mm - before.x_mm);
    const s2 = (after.value_mm - here.value_mm) / (after.x_mm - here.x_mm);
    const steep = Math.max(Math.abs(s1), Math.abs(s2));
    const place = { x_mm: here.x_mm, from_mm: before.x_mm, to_mm: after.x_mm };
    if (proud_mm < 0) troubles.push({ kind: 'hollow', ...place, by_mm: -proud_mm });
    else if (Math.abs(s1 - s2) < TIGHT_SHARE * steep) {
      const free_mm =
        (TIGHT_SHARE * steep * (here.x_mm - before.x_mm) * (after.x_mm - here.x_mm)) / (after.x_mm - before.x_mm);
      troubles.push({ kind: 'tight', ...place, by_mm: Math.max(0, free_mm - proud_mm) });
    }
  }
  return troubles;
}

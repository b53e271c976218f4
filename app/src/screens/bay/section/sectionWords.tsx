import { type Section, straightedgeAcross } from '@june-tide/core/section';
import { Measure } from '../../../parts/Measure.tsx';

/** How hard the bottom edge is here, in a word. */
export function edgeWords(section: Section): string {
  const { edge } = section.input.rail;
  if (edge < 0.1) return 'soft edge';
  if (edge < 0.35) return 'eased edge';
  return edge < 0.6 ? 'firm edge' : 'hard edge';
}

/** What a straightedge laid across the bottom says beside the light under it. */
export function straightedgeWords({ kind, at_mm }: ReturnType<typeof straightedgeAcross>): string {
  if (kind === 'flat') return 'straightedge lies flat';
  if (kind === 'rocks') return 'up at the edge, rocks on the stringer';
  return at_mm < 5 ? 'light at the stringer' : 'light under a straightedge';
}

/** What a straightedge laid across the bottom says. */
export function BottomFigure({ section }: { section: Section }) {
  const across = straightedgeAcross(section);
  return (
    <span>
      {across.kind !== 'flat' && (
        <>
          <b>
            <Measure mm={across.gap_mm} />
          </b>{' '}
        </>
      )}
      {straightedgeWords(across)}
    </span>
  );
}

import { useMemo } from 'react';
import { type Blank, blankLines, type RankedBlank } from '@june-tide/core/make';
import { useShed } from '../../store/shed.ts';
import type { Around, PlankScale } from './scale.ts';
import { useMakePart } from './steps/useMakePart.ts';
import { useBlanks } from './steps/useBlanks.ts';
import { useBay } from './useBay.ts';

/** So many stations draw a blank's lines. */
const STATIONS = 80;

/** The room a chosen blank takes round the board, while the blank is being chosen. */
export function useRoomForBlank(): Around | undefined {
  const { record, step } = useBay();
  const { part, drawn } = useMakePart();
  const blank = useShed((shed) => shed.shelf.find(({ id }) => id === record.blankId));
  const chosen = step === 'make' && part === 'blank' && drawn ? blank : undefined;
  const spare_mm = chosen ? Math.max(0, chosen.length_mm - record.board.length_mm) : 0;
  return useMemo(
    () =>
      chosen && {
        // It lies near the middle of its blank, and never more than this to one side of it.
        ends_mm: 0.75 * spare_mm,
        width_mm: chosen.width_mm,
        tallest_mm: chosen.thickness_mm + Math.max(chosen.noseLift_mm, chosen.tailLift_mm),
        under_mm: chosen.thickness_mm / 3,
      },
    [chosen, spare_mm],
  );
}

/** The blank that was taken, round the board it is cut to: from above, and from the side where it lies in it. */
export function BlankOnPlank({ scale }: { scale: PlankScale }) {
  const { record } = useBay();
  const { part, drawn } = useMakePart();
  if (part !== 'blank' || !drawn || record.blankId === undefined) return null;
  return <Chosen scale={scale} />;
}

function Chosen({ scale }: { scale: PlankScale }) {
  const { record } = useBay();
  const { ranked } = useBlanks(record.board);
  const chosen = ranked?.find(({ blank }) => blank.id === record.blankId);
  return chosen ? <Lines scale={scale} blank={chosen.blank} placement={chosen.fit.placement} /> : null;
}

function Lines({
  scale,
  blank,
  placement,
}: {
  scale: PlankScale;
  blank: Blank;
  placement: RankedBlank['fit']['placement'];
}) {
  const lines = blankLines(blank);
  const { shift_mm, raise_mm, tilt_rad } = placement;
  const stations = Array.from({ length: STATIONS + 1 }, (_, i) => (blank.length_mm * i) / STATIONS);
  const drawn = (y: (s: number) => number) =>
    stations.map((s) => `${scale.x(s - shift_mm).toFixed(1)} ${y(s).toFixed(1)}`);
  const closed = (there: string[], back: string[]) => `M${there.join('L')}L${back.reverse().join('L')}Z`;
  const half = (way: 1 | -1) => drawn((s) => scale.centre - way * lines.half(s) * scale.k);
  // The board lies on its straightedge here: the blank is turned against it by what the board is tilted in it.
  const side = (z: (s: number) => number) =>
    drawn((s) => scale.ground - (z(s) - raise_mm - tilt_rad * (s - shift_mm)) * scale.k * scale.stretch);
  return (
    <g role="img" aria-label={`${blank.name} round the board, from above and from the side`} data-testid="blank-lines">
      <path d={closed(half(1), half(-1))} className="blank-line" />
      <path d={closed(side(lines.bottom), side(lines.deck))} className="blank-line" />
      <text x={scale.x(blank.length_mm - shift_mm) - 4} y={scale.tapeTop - 8} className="drawn-words on-wall">
        {blank.name}
      </text>
    </g>
  );
}

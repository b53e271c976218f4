import type { Band, Bands, BroughtIn } from '@june-tide/core/bring';
import type { Board } from '@june-tide/core/document';
import { thicknessAt } from '@june-tide/core/foil';
import { shapeFor } from '../../store/derived.ts';

interface BoardSideProps {
  board: Board;
  width: number;
  height: number;
  bottom?: BroughtIn['bottom'];
  foil?: BroughtIn['foil'];
  /** What was left open of bottom and deck. */
  bands?: Bands | undefined;
}

const COUNT = 120;

/** The board from the side, tail at the left, the lines that were found as dots and what is open as bands. */
export function BoardSide({ board, width, height, bottom, foil, bands }: BoardSideProps) {
  const shape = shapeFor(board);
  const { length_mm } = board;
  const stations = Array.from({ length: COUNT + 1 }, (_, k) => (length_mm * k) / COUNT);
  const lift = (x: number) => shape.rocker.line.valueAt(x);
  const low = stations.map((x) => [x, lift(x)] as const);
  const high = stations.map((x) => [x, lift(x) + thicknessAt(shape.foil, x)] as const);
  const top = Math.max(...high.map(([, z]) => z));
  const scale = Math.min((width - 40) / length_mm, (height - 24) / top);
  const to = ([x, z]: readonly [number, number]) => `${(x * scale).toFixed(1)} ${(-z * scale).toFixed(1)}`;
  const bandPath = (band: readonly Band[]) => {
    const at = (k: number) => (k / (band.length - 1)) * length_mm;
    const edge = (of: keyof Band) => band.map((each, k) => [at(k), each[of]] as const);
    return `M${[...edge('low_mm'), ...edge('high_mm').reverse()].map(to).join('L')}Z`;
  };
  const floor = bottom ? Math.min(...bottom.points.map(({ y }) => y)) : 0;
  const dots = [
    ...(bottom?.points ?? []).map(({ x, y }) => [x, y - floor] as const),
    ...(foil?.points ?? []).map(({ x, y }) => [x, y + lift(x)] as const),
  ];
  return (
    <svg width={width} height={height} role="img" aria-label="The board from the side, and what was found of it">
      <g transform={`translate(${(width - length_mm * scale) / 2} ${height - 10})`}>
        <path d={`M${[...low, ...high.toReversed()].map(to).join('L')}Z`} className="found-side" />
        <path d={dots.map((dot) => `M${to(dot)}h0`).join('')} className="found-dots" />
        {bands && <path d={[bands.lift, bands.deck].map(bandPath).join('')} className="open-band" />}
      </g>
    </svg>
  );
}

import type { RailRead } from '@june-tide/core/bring';
import { type RailAt, railRatio } from '@june-tide/core/rails';
import { formatLength, type LengthStyle } from '@june-tide/core/units';
import { useLengthStyle } from '../../parts/Measure.tsx';

interface RowsOf {
  words: string;
  say: (rail: RailAt, style: LengthStyle) => string;
}
const ROWS: readonly RowsOf[] = [
  { words: 'Apex', say: ({ apex }) => `${Math.round(100 * apex)} %, ${railRatio(apex)}` },
  { words: 'Fullness', say: ({ fullness }) => fullness.toFixed(2) },
  { words: 'Tuck', say: ({ tuck_mm }, style) => formatLength(tuck_mm, style) },
  { words: 'Edge', say: ({ edge }) => (edge > 0.98 ? 'hard' : edge < 0.02 ? 'soft' : edge.toFixed(2)) },
  { words: 'Its radius', say: ({ edgeRadius_mm }) => `${edgeRadius_mm.toFixed(1)} mm` },
];

/** The rail's numbers as gauged beside those of the board, and how near they come. */
export function RailFoundTable({ found, own }: { found: Extract<RailRead, { ok: true }>; own: RailAt }) {
  const style = useLengthStyle();
  return (
    <table className="misfits" aria-label="The rail as gauged">
      <thead>
        <tr>
          <th scope="col">The rail</th>
          <th scope="col">gauged</th>
          <th scope="col">now</th>
        </tr>
      </thead>
      <tbody>
        {ROWS.map(({ words, say }) => (
          <tr key={words}>
            <th scope="row">{words}</th>
            <td>{say(found.rail, style)}</td>
            <td>{say(own, style)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

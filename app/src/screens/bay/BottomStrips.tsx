import { type BottomLayer, LAYER_WORDS, stationOfMark } from '@june-tide/core/document';
import { withDepthMark } from '@june-tide/core/edit';
import { editBoard } from '../../store/shed.ts';
import { Handle } from './Handle.tsx';
import type { PlankScale } from './scale.ts';
import { useLiveBay } from './useBay.ts';

/** Depths are drawn so much larger than they are: a quarter inch is a hand's width on the plank. */
const DRAWN_LARGER = 12;
const MOST_SHOWN = 4;

/**
 * The bottom's contours as strips along the board, each as deep as the contour is there. Marks are pulled along the board
 * and up and down; arrow keys do the same.
 */
export function BottomStrips({ scale }: { scale: PlankScale }) {
  const { record } = useLiveBay();
  const layers = record.board.bottom.layers.slice(0, MOST_SHOWN);
  return (
    <g>
      {layers.map((layer, i) => (
        <Strip
          key={i}
          index={i}
          layer={layer}
          scale={scale}
          y={scale.centre + 18 + Math.min(40, (record.board.outline.width_mm / 8) * scale.k) * i}
        />
      ))}
    </g>
  );
}

function Strip({ index, layer, scale, y }: { index: number; layer: BottomLayer; scale: PlankScale; y: number }) {
  const { record, shape, moveHook } = useLiveBay();
  const name = LAYER_WORDS[layer.kind];
  const k = scale.k * DRAWN_LARGER;
  const marks = layer.depths
    .map((mark, i) => ({ mark, i, x_mm: stationOfMark(mark, shape.anchors) }))
    .sort((a, b) => a.x_mm - b.x_mm);
  const at = (m: (typeof marks)[number]) =>
    `${scale.x(m.x_mm).toFixed(1)} ${(y + m.mark.value_mm * k * 0.5).toFixed(1)}`;
  const first = scale.x(marks[0].x_mm);
  const last = scale.x(marks[marks.length - 1].x_mm);
  const set = (mark: number, change: { value_mm?: number; x_mm?: number }, key: string) =>
    editBoard(record.id, `${name} pulled`, (b) => withDepthMark(b, index, mark, change), key);
  return (
    <g opacity={layer.off ? 0.35 : 1}>
      <path
        d={`M${first} ${y}L${marks.map(at).join('L')}L${last} ${y}Z`}
        fill="var(--sea)"
        fillOpacity={0.28}
        stroke="var(--sea-text)"
        strokeWidth={1.5}
      />
      <text x={(first + last) / 2} y={y - 4} fontSize={14} className="drawn" textAnchor="middle" fontStyle="italic">
        {name}
      </text>
      {marks.map(({ mark, i, x_mm }) => (
        <Handle
          key={i}
          label={`${name}, depth mark ${i + 1}`}
          now={Math.round(mark.value_mm * 10) / 10}
          low={-40}
          high={40}
          along={{
            value_mm: x_mm,
            pixels: scale.k,
            nudges: 4,
            grid_mm: 0,
            low_mm: 0,
            high_mm: record.board.length_mm,
            set: (to_mm, key) => set(i, { x_mm: to_mm }, key),
          }}
          across={{
            value_mm: mark.value_mm,
            pixels: k * 0.5,
            nudges: 0.5,
            grid_mm: 0.1,
            set: (value_mm, key) => set(i, { value_mm }, key),
          }}
          onTake={() => moveHook(x_mm)}
          group={{ 'data-depth': `${index}.${i}` }}
        >
          <circle className="grab" cx={scale.x(x_mm)} cy={y + mark.value_mm * k * 0.5} r={16} />
          <circle className="ring" cx={scale.x(x_mm)} cy={y + mark.value_mm * k * 0.5} r={5} />
        </Handle>
      ))}
    </g>
  );
}

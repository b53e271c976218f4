import { type BottomLayer, LAYER_WORDS, stationOfMark } from '@june-tide/core/document';
import { depthAsked, withDepthMark } from '@june-tide/core/edit';
import { editBoard } from '../../store/shed.ts';
import { Handle } from './Handle.tsx';
import { type PlankScale, TAPE_HEIGHT } from './scale.ts';
import { useLiveBay } from './useBay.ts';

const MOST_SHOWN = 4;
const PIECES = 60;
/** Depths are drawn so many times as tall as the board is long, or the most of them there is room for. */
const TALLER = [24, 20, 16, 12, 10, 8, 6, 4, 3, 2, 1] as const;
const ROOM = { top: 8, foot: 6, between: 16 };

/**
 * The bottom's contours hung under the tape, each as deep along the board as it is asked to be. Marks are pulled along the board and up
 * and down; arrow keys do the same.
 */
export function BottomStrips({ scale }: { scale: PlankScale }) {
  const { record } = useLiveBay();
  const layers = record.board.bottom.layers.slice(0, MOST_SHOWN);
  const top = scale.tapeTop + TAPE_HEIGHT + ROOM.top;
  const room = (scale.height - top - ROOM.foot) / Math.max(1, layers.length);
  return (
    <g className="on-paper">
      {layers.map((layer, i) => (
        <Strip key={i} index={i} layer={layer} scale={scale} top={top + room * i} room={room - ROOM.between / 2} />
      ))}
    </g>
  );
}

interface StripProps {
  index: number;
  layer: BottomLayer;
  scale: PlankScale;
  /** Where its straightedge is, and what it has for its depths, px. */
  top: number;
  room: number;
}

/** One contour: its straightedge, and how far the bottom is from it. */
function Strip({ index, layer, scale, top, room }: StripProps) {
  const { record, shape, moveHook } = useLiveBay();
  const name = LAYER_WORDS[layer.kind];
  const marks = layer.depths
    .map((mark, i) => ({ mark, i, x_mm: stationOfMark(mark, shape.anchors) }))
    .sort((a, b) => a.x_mm - b.x_mm);
  const depths = marks.map(({ mark }) => mark.value_mm);
  const [least, most] = [Math.min(0, ...depths), Math.max(0, ...depths)];
  const times = TALLER.find((t) => (most - least) * scale.k * t <= room - 6) ?? 1;
  const k = scale.k * times;
  const y = top - least * k;
  const blend = depthAsked(record.board, index);
  const [from, to] = [Math.max(0, marks[0].x_mm), Math.min(record.board.length_mm, marks[marks.length - 1].x_mm)];
  const line = Array.from({ length: PIECES + 1 }, (_, i) => {
    const x_mm = from + ((to - from) * i) / PIECES;
    return `${scale.x(x_mm).toFixed(1)} ${(y + blend(x_mm) * k).toFixed(1)}`;
  }).join('L');
  const set = (mark: number, change: { value_mm?: number; x_mm?: number }, key: string) =>
    editBoard(record.id, `${name} pulled`, (b) => withDepthMark(b, index, mark, change), key);
  return (
    <g opacity={layer.off ? 0.35 : 1}>
      <line x1={scale.x(0)} x2={scale.x(record.board.length_mm)} y1={y} y2={y} stroke="var(--faint)" />
      <path
        d={`M${scale.x(from).toFixed(1)} ${y.toFixed(1)}L${line}L${scale.x(to).toFixed(1)} ${y.toFixed(1)}Z`}
        fill="var(--sea)"
        fillOpacity={0.2}
        stroke="var(--sea-text)"
        strokeWidth={1.5}
      />
      <text
        x={scale.x(record.board.length_mm)}
        y={top + room}
        fontSize={14}
        className="drawn"
        textAnchor="end"
        fontStyle="italic"
        fontFamily="var(--serif)"
      >
        {name}
        {times > 1 && <tspan className="after">, {times} times as deep</tspan>}
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
            pixels: k,
            nudges: 0.5,
            grid_mm: 0.1,
            set: (value_mm, key) => set(i, { value_mm }, key),
          }}
          onTake={() => moveHook(x_mm)}
          group={{ 'data-depth': `${index}.${i}` }}
        >
          <circle className="grab" cx={scale.x(x_mm)} cy={y + mark.value_mm * k} r={16} />
          <circle className="ring" cx={scale.x(x_mm)} cy={y + mark.value_mm * k} r={5} />
        </Handle>
      ))}
    </g>
  );
}

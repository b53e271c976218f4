import type { RailStation } from '@june-tide/core/document';
import { stationOfMark } from '@june-tide/core/document';
import { movedTo, placeAt, withRail } from '@june-tide/core/edit';
import { halfBreadthAt } from '@june-tide/core/outline';
import { railRatio } from '@june-tide/core/rails';
import { sectionRing } from '@june-tide/core/section';
import { sectionAt } from '@june-tide/core/shape';
import { DrawnMeasure, useLengthStyle } from '../../parts/Measure.tsx';
import { editBoard } from '../../store/shed.ts';
import { Handle } from './Handle.tsx';
import { type PlankScale, TAPE_HEIGHT } from './scale.ts';
import { stationName } from './stationName.ts';
import { useLiveBay } from './useBay.ts';

/** So much of the section is drawn in from the rail, or less where the next station is near. */
const SHOWN_mm = 100;
/** A section as tall as this, px, has room for its ratio. */
const LEAST_INSIDE = 30;
/** Pixels between two that hang beside one another. */
const BETWEEN = 8;

/** The rail stations: a mark on the rail that is pulled along the board, and the rail itself, cut, hung under its place on the tape. */
export function RailsOnPlan({ scale }: { scale: PlankScale }) {
  const { shape, record, hook_mm } = useLiveBay();
  const { stations } = record.board.rails;
  const inHand = placeAt(record.board, stations, hook_mm);
  const places = stations
    .map((station, index) => ({ station, index, x_mm: stationOfMark(station, shape.anchors) }))
    .sort((a, b) => a.x_mm - b.x_mm);
  return (
    <g data-testid="rails-on-plan">
      <EdgeOnPlan scale={scale} />
      {places.map(({ station, index, x_mm }, i) => {
        const before = places[i - 1]?.x_mm ?? -Infinity;
        const room = (x_mm - before) * scale.k - BETWEEN;
        const held = index === inHand;
        return (
          <g key={index} data-rail={index}>
            <Hung station={station} x_mm={x_mm} room={room} held={held} scale={scale} />
            <StationMark station={station} index={index} x_mm={x_mm} held={held} scale={scale} />
          </g>
        );
      })}
    </g>
  );
}

interface StationProps {
  station: RailStation;
  x_mm: number;
  held: boolean;
  scale: PlankScale;
}

/** The outer part of the section at a station, its rail under the station's place on the tape. */
function Hung({ station, x_mm, room, held, scale }: StationProps & { room: number }) {
  const { shape } = useLiveBay();
  const section = sectionAt(shape, x_mm);
  if (!section) return null;
  const top = scale.tapeTop + TAPE_HEIGHT;
  const tall = scale.height - top - 22;
  const k = Math.min(0.9, tall / (section.input.thickness_mm + 6));
  const shown = Math.min(SHOWN_mm, section.half_mm, Math.max(30, room) / k);
  const right = scale.x(x_mm);
  const foot = scale.height - 10;
  const low = Math.min(0, section.edgeZ_mm);
  const ring = sectionRing(section, 24).filter((p) => p.y_mm >= section.half_mm - shown);
  const path = ring
    .map((p) => `${(right + (p.y_mm - section.half_mm) * k).toFixed(1)} ${(foot - (p.z_mm - low) * k).toFixed(1)}`)
    .join('L');
  const ratio = railRatio(station.apex);
  const thick = section.input.thickness_mm * k;
  return (
    <g pointerEvents="none">
      <line x1={right} x2={right} y1={top} y2={foot - section.apex_mm * k} stroke="var(--faint)" />
      <path
        d={`M${path}`}
        fill="var(--board)"
        stroke={held ? 'var(--coral)' : 'var(--on-board)'}
        strokeWidth={held ? 2.2 : 1.6}
        strokeLinejoin="round"
      />
      <text
        x={right - 14}
        y={thick > LEAST_INSIDE ? foot - thick / 2 + 5 : foot - thick - 7}
        textAnchor="end"
        fontSize={15}
        fontWeight={600}
        fontFamily="var(--serif)"
        className={held ? 'drawn held' : 'drawn'}
      >
        {ratio}
      </text>
    </g>
  );
}

/** Where a station is on the rail; pulled along, or moved by ← →. */
function StationMark({ station, index, x_mm, held, scale }: StationProps & { index: number }) {
  const { shape, record, moveHook } = useLiveBay();
  const style = useLengthStyle();
  const name = stationName(station, style);
  const [x, y] = [scale.x(x_mm), scale.centre - halfBreadthAt(shape.outline, x_mm) * scale.k];
  return (
    <Handle
      label={`Rail ${name}, moved along the board`}
      now={Math.round(x_mm)}
      low={0}
      high={Math.round(record.board.length_mm)}
      along={{
        value_mm: x_mm,
        pixels: scale.k,
        nudges: 4,
        low_mm: 0,
        high_mm: record.board.length_mm,
        set: (to_mm, key) => {
          editBoard(
            record.id,
            `rail moved, ${name}`,
            (b) => withRail(b, index, { at_mm: movedTo(b, b.rails.stations[index], to_mm).at_mm }),
            key,
          );
          moveHook(to_mm);
        },
      }}
      onTake={() => moveHook(x_mm)}
      group={{ className: held ? 'mark held slides' : 'mark slides', 'data-station': index }}
    >
      <circle className="grab" cx={x} cy={y} r={16} />
      <circle className="ring" cx={x} cy={y} r={5} />
    </Handle>
  );
}

/** The hard edge along the tail as a heavy line on the rail, thinning where it fades; its end is pulled along. */
function EdgeOnPlan({ scale }: { scale: PlankScale }) {
  const { shape, record, moveHook } = useLiveBay();
  const { length_mm, fade_mm } = record.board.rails.tailEdge;
  const set = (to_mm: number, key: string) =>
    editBoard(
      record.id,
      'hard edge',
      (b) => ({ ...b, rails: { ...b.rails, tailEdge: { ...b.rails.tailEdge, length_mm: to_mm } } }),
      key,
    );
  // A little inside the rail, where the edge is: the stations' marks stand on the rail itself.
  const inside = 12;
  const rail = (x_mm: number) =>
    Math.min(scale.centre, scale.centre - halfBreadthAt(shape.outline, x_mm) * scale.k + inside);
  const at = (x_mm: number) => `${scale.x(x_mm).toFixed(1)} ${rail(x_mm).toFixed(1)}`;
  const along = (from: number, to: number) =>
    `M${Array.from({ length: 25 }, (_, i) => at(Math.max(1, Math.min(record.board.length_mm, from + ((to - from) * i) / 24)))).join('L')}`;
  const x = scale.x(length_mm);
  const y = rail(Math.max(1, length_mm));
  return (
    <g>
      {length_mm > 0 && (
        <g fill="none" stroke="var(--on-board)" pointerEvents="none">
          <path d={along(0, length_mm)} strokeWidth={5} />
          <path d={along(length_mm, length_mm + fade_mm)} strokeWidth={2.5} strokeDasharray="7 4" />
        </g>
      )}
      <Handle
        label="End of the hard edge"
        now={Math.round(length_mm)}
        low={0}
        high={Math.round(record.board.length_mm)}
        along={{ value_mm: length_mm, pixels: scale.k, low_mm: 0, high_mm: record.board.length_mm, set }}
        onTake={() => moveHook(length_mm)}
        group={{ 'data-edge': 'end', className: 'mark slides' }}
      >
        <rect className="grab" x={x - 16} y={y - 4} width={32} height={36} />
        <path className="ring" d={`M${x} ${y + 3}l7 13h-14z`} />
        <DrawnMeasure mm={length_mm} x={x + 12} y={y + 22} size={16} after="hard edge" />
      </Handle>
    </g>
  );
}
